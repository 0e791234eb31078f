import { closest, distance } from 'fastest-levenshtein';
import type { Control, Parameter } from '../../equipment/catalogue';
import { conceptOf, type ConceptId } from '../../equipment/concepts';

/** Words people use for a thing, beside its name. Common practice, no source. */
const alsoCalled: Partial<Record<ConceptId, string>> = {
  'limit.reverse': 'reverse backwards direction anticlockwise',
  'motor.direction': 'reverse direction swap phases rotation',
  'ramp.up': 'start ramp accel speed up time',
  'ramp.down': 'stop ramp decel slow down time',
  'ramp.s-curve': 'start ramp type smooth jerk',
  'stop.mode': 'coast free run freewheel braking',
  'limit.maximum-frequency': 'top speed max hz',
  'limit.minimum-frequency': 'low speed min hz crawl',
  'limit.current': 'amps stall torque',
  'limit.current-amps': 'amps stall torque',
  'protect.overload-amps': 'thermal i2t motor protection',
  'protect.overload-percent': 'thermal i2t motor protection',
  'protect.input-phase': 'mains phase loss single phase supervision',
  'protect.output-phase': 'motor phase loss lamp test supervision',
  'restart.power-on': 'auto start after power cut',
  'restart.count': 'auto reset retry',
  'start.flying': 'catch spinning motor',
  'switching.frequency': 'carrier noise whistle pwm',
  'place.selected': 'hand auto local remote',
  'place.remote-run': 'command source start terminals fieldbus',
  'place.remote-reference': 'speed source setpoint analog potentiometer',
  'run.wiring': 'two wire three wire start stop buttons',
  'brake.chopper': 'braking resistor',
  'factory.reset': 'defaults initialise reset',
  'store.save': 'save memory eeprom',
  'lock.code': 'password passcode access level',
  'lock.parameters': 'password write protect',
  'motor.ident': 'autotune identification tuning',
  'pid.enable': 'process control loop',
  region: 'hz kw hp europe america',
  macro: 'application wizard preset',
};

/** A parameter that was found by what it does. */
export interface FoundEntry {
  parameter: Parameter;
  /** Its neutral name; null where the type's own is all there is. */
  concept: string | null;
  /** Why it is shown. */
  because: string;
}

const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((w) => w !== '');
const plain = (number: string): string =>
  words(number)
    .map((w) => w.replace(/^0+(?=.)/, ''))
    .join('-');

/** How well a word is met by some words: whole, begun, or misspelt by little. */
function met(wanted: string, among: readonly string[]): number {
  if (among.includes(wanted)) return 3;
  if (wanted.length >= 2 && among.some((w) => w.startsWith(wanted))) return 2;
  if (wanted.length < 4 || among.length === 0) return 0;
  return distance(wanted, closest(wanted, [...among])) === 1 ? 1 : 0;
}

/** The number as written, its last part, or without its zeros: "45", "3-07", "a5". */
const isNumber = (p: Parameter, text: string): boolean => {
  const [wanted, number] = [plain(text), plain(p.number)];
  const signs = (t: string): string => words(t).join('');
  return wanted !== '' && (number === wanted || signs(p.number) === signs(text));
};

/**
 * Entries of a type by number, by name in the make's words or in ours, by what people call it, or by one of its choices,
 * the best first.
 */
export function findEntries(
  { parameters }: Pick<Control, 'parameters'>,
  text: string,
  most = 12,
): FoundEntry[] {
  const wanted = words(text);
  if (wanted.length === 0) return [];
  const scored = parameters.map((parameter) => {
    const { name, concept, choices = [] } = parameter;
    const neutral = concept === undefined ? null : conceptOf(concept).name;
    const called = concept === undefined ? undefined : alsoCalled[concept];
    const found = (score: number, because: string) => ({
      score,
      entry: { parameter, concept: neutral, because },
    });
    if (isNumber(parameter, text)) return found(100, 'number');
    const from: [weight: number, because: string, words: string[]][] = [
      [4, 'name', words(name)],
      [3, 'meaning', words(neutral ?? '')],
      [2, 'common name', words(called ?? '')],
      [1, 'one of its choices', choices.flatMap((c) => words(c.name))],
    ];
    const best = wanted.map((w) =>
      from
        .map(([weight, because, among]) => ({ points: weight * met(w, among), because }))
        .reduce((a, b) => (b.points > a.points ? b : a)),
    );
    const whole = best.every((b) => b.points > 0);
    return found(whole ? best.reduce((s, b) => s + b.points, 0) : 0, best[0]?.because ?? '');
  });
  return scored
    .filter((s) => s.score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map((s) => s.entry);
}
