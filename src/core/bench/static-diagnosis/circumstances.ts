import { isStated, positionsOf, type Position, type Stage } from '../../equipment/power-stage';
import { circumstancePrior, unstatedParts } from './model';

/** A trap of the set-up that changes the network. */
export type CircumstanceCode = keyof typeof circumstancePrior;

/** The set-up that a hypothesis assumes: as it should be, or with a trap in it. */
export interface Circumstance {
  /** null: as it should be. */
  code: CircumstanceCode | null;
  prior: number;
  stage: Stage;
  /** Red and black are the other way round. */
  mirrored: boolean;
  motorConnected: boolean;
  /** What the bank still holds, V; fitted around this value unless 0. */
  busVolts: number;
  /** A brake resistor still on BR and DC+, Ω; fitted around this value; null: none. */
  brakeResistor_ohm: number | null;
}

const busVolts_V = [0.1, 0.25, 0.6, 1.2, 2, 5, 40];
const brakeResistors_ohm = [12, 30, 75, 180, 400];

/** Stages that this one may be mistaken for. */
function mistaken(stage: Stage): { code: CircumstanceCode; stage: Stage }[] {
  const list: { code: CircumstanceCode; stage: Stage }[] = [];
  const frontEnds = (['diode-3ph', 'diode-1ph'] as const).filter((f) => f !== stage.frontEnd);
  for (const frontEnd of frontEnds) list.push({ code: 'wrong-stage', stage: { ...stage, frontEnd } });
  if (stage.frontEnd === 'diode-3ph')
    for (const scrPrecharge of ['diodes', 'none'] as const)
      list.push({
        code: 'thyristor-front-end',
        stage: { ...stage, frontEnd: 'scr-half-3ph', scrPrecharge },
      });
  if (stage.frontEnd === 'scr-half-3ph')
    list.push({
      code: 'wrong-stage',
      stage: { ...stage, scrPrecharge: stage.scrPrecharge === 'none' ? 'diodes' : 'none' },
    });
  if (stage.brake) list.push({ code: 'wrong-stage', stage: { ...stage, brake: false } });
  return list;
}

/** How a stage may be built where nobody has stated it, with its share. */
function unstatedBuilds(stage: Stage): { share: number; stage: Stage }[] {
  const { precharge, link, fuse, prechargeOhms } = unstatedParts;
  const builds: { share: number; stage: Stage }[] = [];
  if (!isStated(stage, 'link')) {
    builds.push({ share: link, stage: { ...stage, link: 'link', dcrAccessible: false } });
    for (const prechargeOhm of prechargeOhms) {
      const built: Stage = { ...stage, link: 'precharge', dcrAccessible: false, prechargeOhm };
      builds.push({ share: precharge / prechargeOhms.length, stage: built });
    }
  }
  if (!isStated(stage, 'fuse')) builds.push({ share: fuse, stage: { ...stage, fuse: 'inverter' } });
  return builds;
}

/** Is this a part that the unit may have or not, for all that was stated? */
export const isUnstatedPart = (stage: Stage, position: Position): boolean =>
  position === 'bus.fuse'
    ? !isStated(stage, 'fuse')
    : (position === 'bus.link' || position === 'bus.precharge') && !isStated(stage, 'link');

/** Every set-up that is tried, the right one first; priors add up to one. */
export function circumstancesOf(stage: Stage): Circumstance[] {
  const usual = {
    stage,
    mirrored: false,
    motorConnected: false,
    busVolts: 0,
    brakeResistor_ohm: null,
  };
  const trap = (code: CircumstanceCode, of: number, differs: Partial<Circumstance>): Circumstance => ({
    ...usual,
    code,
    prior: circumstancePrior[code] / of,
    ...differs,
  });
  const traps = [
    trap('motor-connected', 1, { motorConnected: true }),
    trap('leads-swapped', 1, { mirrored: true }),
    ...busVolts_V.map((busVolts) => trap('bus-not-discharged', busVolts_V.length, { busVolts })),
    ...(positionsOf(stage).includes('brk.diode')
      ? brakeResistors_ohm.map((ohm) =>
          trap('brake-resistor-connected', brakeResistors_ohm.length, {
            brakeResistor_ohm: ohm,
          }),
        )
      : []),
    ...mistaken(stage).map(({ code, stage: other }) => trap(code, 1, { stage: other })),
    ...unstatedBuilds(stage).map(({ share, stage: built }) => ({
      ...usual,
      code: 'wrong-stage' as const,
      prior: share,
      stage: built,
    })),
  ];
  const asked = traps.reduce((sum, t) => sum + t.prior, 0);
  return [{ ...usual, code: null, prior: 1 - asked }, ...traps];
}
