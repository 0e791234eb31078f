import { ratingWords } from '../../../equipment/catalogue';
import { stageWords } from '../../../equipment/power-stage';
import type { Payload } from '../../payloads';
import { sliceOf, voided } from '../../slice';
import { answer, told } from '../../told';

/** The drive by its plate, with its power stage. */
export const driveSlice = sliceOf<Payload<'identify.drive'> | null>()({
  key: 'drive',
  init: null,
  kinds: ['identify.drive', 'identify.stage'],
  apply(slice, entry) {
    if (entry.kind === 'identify.drive') return { slice: entry.payload };
    const { stage, strip } = entry.payload;
    return slice === null
      ? voided(slice, 'Drive nameplate not read yet.')
      : { slice: { ...slice, stage, strip } };
  },
  words: {
    'identify.drive': ({ payload: { maker, type, serial, labelWait_min, ...rating } }) =>
      told(`Drive: ${maker} ${type}`, [
        answer('no.', serial),
        ratingWords(rating),
        labelWait_min === null ? 'discharge time not known' : `discharge time ${labelWait_min} min`,
      ]),
    'identify.stage': ({ payload }) => `Power stage: ${stageWords(payload.stage)}`,
  },
});

/** The motor by its plate. */
export const motorSlice = sliceOf<Payload<'identify.motor'> | null>()({
  key: 'motor',
  init: null,
  kinds: ['identify.motor'],
  apply: (_slice, { payload }) => ({ slice: payload }),
  words: {
    'identify.motor': ({ payload }) =>
      `Motor: ${payload.plate.power.value} ${payload.plate.power.unit}, ${payload.plate.volts} V, ${payload.plate.amps} A, ${payload.plate.hz} Hz, ${payload.plate.rpm} rpm`,
  },
});
