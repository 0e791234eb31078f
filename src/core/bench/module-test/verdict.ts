import { deviceCount, type ModuleKind } from './devices';

/** What the lamp does when a gate is touched. */
export type LampState = 'on' | 'off' | 'dim';

/** One touch of a gate: what the lamp did and whether it stayed so when the finger was lifted. */
export interface LampTouch {
  device: number;
  gate: 'plus' | 'minus';
  lamp: LampState;
  holds: boolean;
}

/** The antiparallel diode, by diode test. */
export interface DiodeTest {
  device: number;
  forward_V: number;
  reverse: 'OL' | number;
}

/** Gate to own emitter, bridges off, by ohms range; should be open. */
export interface GateResistance {
  device: number;
  ohm: 'OL' | number;
}

/** What the test says of one device. */
export type DeviceVerdict = 'switches' | 'shorted' | 'open' | 'leaky-gate' | 'not-proven';

/** What the test says of each device, and of the module as a whole. */
export interface ModuleVerdict {
  devices: { device: number; verdict: DeviceVerdict; why: string }[];
  verdict: 'switches' | 'replace' | 'not-proven';
}

/** Below this a diode reading is a short, V (common practice, no source). */
const short_V = 0.05;
/** Above this no diode of any kind is in the path, V. */
const open_V = 2;
/** Below this a gate is no gate any more, Ω (common practice, no source). */
const gateShort_ohm = 1000;
/** Some modules have a resistor from gate to emitter; below this it counts as a leak, Ω. */
const gateLeak_ohm = 5000;

type Said = { verdict: DeviceVerdict; why: string };
const say = (verdict: DeviceVerdict, why: string): Said => ({ verdict, why });

/** What diode and gate readings say for sure, before the lamp is asked. */
function byMeter(diode: DiodeTest | undefined, gate: GateResistance | undefined): Said | null {
  if (diode !== undefined && diode.reverse !== 'OL') {
    if (Math.abs(diode.forward_V) < short_V && Math.abs(diode.reverse) < short_V)
      return say('shorted', 'Collector to emitter reads near zero both ways.');
    return say(
      'not-proven',
      'It conducts in reverse; a charged gate causes this too. Bridge gate to emitter and measure the diode again.',
    );
  }
  if (diode !== undefined && diode.forward_V < short_V)
    return say(
      'not-proven',
      diode.forward_V < 0
        ? `${diode.forward_V} V forward: no diode reads below zero. Leads reversed, or the module is still charged: measure again.`
        : `${diode.forward_V} V forward and OL in reverse: no diode reads like this. Measure again.`,
    );
  if (diode !== undefined && diode.forward_V > open_V)
    return say('open', 'The freewheel diode does not conduct: its connection or the diode is open.');
  if (gate !== undefined && gate.ohm !== 'OL' && gate.ohm < gateShort_ohm)
    return say('open', `Gate to emitter reads ${gate.ohm} Ω where it should be open: the gate is shorted.`);
  if (gate !== undefined && gate.ohm !== 'OL' && gate.ohm < gateLeak_ohm)
    return say('leaky-gate', `Gate to emitter reads ${gate.ohm} Ω where it should be open.`);
  return null;
}

/** What the lamp did on the touches of one device (common practice, no source). */
function byLamp(plus: readonly LampTouch[], minus: readonly LampTouch[]): Said {
  const differ = (list: readonly LampTouch[]): boolean => new Set(list.map((t) => t.lamp)).size > 1;
  if (differ(plus) || differ(minus))
    return say('not-proven', 'Repeated touches gave different results: clean the terminals and repeat.');
  const [on] = plus;
  const [off] = minus;
  if (on === undefined || off === undefined)
    return say(
      'not-proven',
      on === undefined ? 'Gate not yet touched with plus.' : 'Gate not yet touched with minus.',
    );
  if (on.lamp === 'on' && off.lamp === 'on')
    return say(
      'shorted',
      'The lamp never goes out: collector to emitter is shorted. A reversed battery gives the same result, so check its polarity again.',
    );
  // The gate tied to its collector: minus on the gate draws the lamp's current through it.
  if (on.lamp === 'dim' && off.lamp === 'on')
    return say('shorted', 'Dim, and brighter with minus on the gate: gate and collector are shorted.');
  if (on.lamp === 'off' && off.lamp === 'off')
    return say('open', 'The lamp never lights: open, gate open, or gate and emitter shorted.');
  if (on.lamp === 'on' && off.lamp === 'off') {
    const faded = [...plus, ...minus].some((t) => !t.holds);
    return faded
      ? say('leaky-gate', 'It switches but does not hold: the gate loses its charge.')
      : say('switches', 'Switches on and holds with plus, switches off and holds with minus.');
  }
  if (on.lamp === 'dim' || off.lamp === 'dim')
    return say(
      'not-proven',
      'Dim: leakage, gate partly charged, or weak battery. Charge the battery and repeat.',
    );
  return say('not-proven', 'On with minus and off with plus: gate leads probably swapped.');
}

/**
 * The verdict on every device of a module, and on the module.
 * @param lampSelfTest lamp and battery were proven on each other, and the battery's polarity was checked
 */
export function moduleVerdict({
  kind,
  lampSelfTest,
  touches,
  diode = [],
  gate = [],
}: {
  kind: ModuleKind;
  lampSelfTest: boolean;
  touches: readonly LampTouch[];
  diode?: readonly DiodeTest[];
  gate?: readonly GateResistance[];
}): ModuleVerdict {
  const numbers = Array.from({ length: deviceCount[kind] }, (_, i) => i + 1);
  const devices = numbers.map((device) => {
    const own = <T extends { device: number }>(list: readonly T[]): T[] =>
      list.filter((x) => x.device === device);
    const metered = byMeter(own(diode).at(-1), own(gate).at(-1));
    if (metered !== null) return { device, ...metered };
    if (!lampSelfTest)
      return {
        device,
        ...say(
          'not-proven',
          'Lamp, battery and polarity were not proven first: a failed lamp looks like a failed gate.',
        ),
      };
    const touched = own(touches);
    return {
      device,
      ...byLamp(
        touched.filter((t) => t.gate === 'plus'),
        touched.filter((t) => t.gate === 'minus'),
      ),
    };
  });
  const dead = devices.some((d) => d.verdict !== 'switches' && d.verdict !== 'not-proven');
  const proven = devices.every((d) => d.verdict === 'switches');
  return { devices, verdict: dead ? 'replace' : proven ? 'switches' : 'not-proven' };
}
