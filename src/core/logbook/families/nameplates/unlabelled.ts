import { usualStrip } from '../../../equipment/catalogue';
import { assumables, stage as stageWith, type Stage } from '../../../equipment/power-stage';
import type { Payload } from '../../payloads';

/**
 * A unit of which only its terminals are seen: its front end is stated, all other parts are assumed, and nothing is known of its
 * ratings. Enough for the dead proof and the diode test; the label may follow.
 */
export function unlabelledDrive(frontEnd: Stage['frontEnd']): Payload<'identify.drive'> {
  const stage: Stage = { ...stageWith({ frontEnd }), assumed: assumables };
  return {
    ...{ typeId: null, maker: 'Unmarked', type: 'unit' },
    ...{ supply_V: null, ratedAmps: null, labelWait_min: null },
    phases: frontEnd === 'diode-1ph' ? 1 : 3,
    drawingOnlySimilar: false,
    stage,
    strip: usualStrip(stage),
    photos: [],
  };
}
