import type { Parameter, KeyTouch } from '../../equipment/catalogue';
import { parameterAt, shownAs, type Values } from '../../equipment/drive-words';
import { heldSteps, same, trackOf, type Pad, type Press } from './pad';

/** Where somebody is on the keypad. */
export type PadState =
  | { at: 'home' }
  | { at: 'group'; group: number }
  /** `refused`: what was just tried is locked, or was not taken. */
  | { at: 'entry'; group: number; place: number; refused?: boolean }
  | { at: 'value'; group: number; place: number; edited: number; cursor: number }
  | { at: 'jump'; signs: string; cursor: number; back: PadState };

/** What the keypad sees of its drive. */
export interface PadDrive {
  values: Values;
  /** Locks open up to this level. */
  opened: number;
  /** Everything is locked, whatever the level. */
  allLocked: boolean;
}

/** What one press does. */
export interface Pressed {
  state: PadState;
  /** What the keypad hands to the drive to keep. */
  writes?: { number: string; value: number };
}

const ring = (at: number, by: number, length: number): number => (((at + by) % length) + length) % length;

/** The parameter at a place of a group; undefined where there is none. */
export const entryAt = (
  pad: Pad,
  { group, place }: { group: number; place: number },
): Parameter | undefined => parameterAt(pad, pad.groups[group]?.numbers[place]);

/** Signs that occur at each place of the numbers: what a jump runs through. */
export function signsOf(pad: Pad): string[][] {
  const numbers = pad.groups.flatMap((g) => g.numbers);
  const longest = Math.max(...numbers.map((n) => n.length));
  return Array.from({ length: longest }, (_, i) =>
    [...new Set(numbers.flatMap((n) => (i < n.length ? [n.charAt(i)] : [])))].sort(),
  );
}

/** The place of an entry, the nearest group first where it is in several. */
export function placesOf(pad: Pad, number: string): { group: number; place: number }[] {
  return pad.groups.flatMap(({ numbers }, group) => {
    const place = numbers.indexOf(number);
    return place < 0 ? [] : [{ group, place }];
  });
}

/** How far a press steps: once, or as long as it is held where holding means that. */
const stepsOf = (pad: Pad, touch: KeyTouch | undefined, press: Press): number => {
  if (touch === undefined || touch.cap !== press.cap) return 0;
  if (same(touch, press)) return 1;
  return press.held && pad.operation.hold !== undefined ? heldSteps(pad.operation.hold, press.ticks ?? 1) : 0;
};

function inList(pad: Pad, state: PadState & { at: 'entry' }, press: Press, drive: PadDrive): Pressed {
  const { operation, groups } = pad;
  const { list } = operation;
  const { group, place } = state;
  const length = groups[group]?.numbers.length ?? 1;
  const p = entryAt(pad, state);
  if (same(list.leave, press))
    return { state: operation.groups === null ? { at: 'home' } : { at: 'group', group } };
  if (same(list.jump, press)) return { state: jumpFrom(pad, p?.number ?? '', { at: 'entry', group, place }) };
  if (same(list.open, press)) {
    if (p === undefined) return { state };
    const always = p.concept?.startsWith('lock.') === true || p.concept === 'store.save';
    const open = always || (p.lock <= drive.opened && !drive.allLocked);
    if (!open) return { state: { at: 'entry', group, place, refused: true } };
    // A code that was entered is nobody's to read.
    const value = p.concept === 'lock.code' ? 0 : (drive.values[p.number] ?? 0);
    return { state: { at: 'value', group, place, edited: trackOf(pad, p).placeOf(value), cursor: 0 } };
  }
  const by = stepsOf(pad, list.next, press) - stepsOf(pad, list.previous, press);
  return { state: { at: 'entry', group, place: ring(place, by, length) } };
}

function inValue(pad: Pad, state: PadState & { at: 'value' }, press: Press): Pressed {
  const { value } = pad.operation;
  const p = entryAt(pad, state);
  const { group, place, cursor, edited } = state;
  const back: PadState = { at: 'entry', group, place };
  if (p === undefined || same(value.leave, press)) return { state: back };
  const track = trackOf(pad, p);
  if (same(value.keep, press))
    return p.readOnly
      ? { state: back }
      : { state: back, writes: { number: p.number, value: track.valueAt(edited) } };
  if (same(value.cursor, press)) return { state: { ...state, cursor: (cursor + 1) % track.digits } };
  if (p.readOnly) return { state };
  // With a cursor to move, holding a key is one step: what speeds up cannot be placed.
  const slow = track.digits > 1;
  const by = slow
    ? Number(same(value.up, press)) - Number(same(value.down, press))
    : stepsOf(pad, value.up, press) - stepsOf(pad, value.down, press);
  const to = edited + by * 10 ** cursor;
  return { state: { ...state, edited: Math.max(track.lowest, Math.min(track.highest, to)) } };
}

const jumpFrom = (pad: Pad, number: string, back: PadState): PadState => ({
  at: 'jump',
  signs: number === '' ? (pad.groups[0]?.numbers[0] ?? '') : number,
  cursor: 0,
  back,
});

function inJump(pad: Pad, state: PadState & { at: 'jump' }, press: Press): Pressed {
  const { jump } = pad.operation;
  if (jump === undefined || same(jump.leave, press)) return { state: state.back };
  if (same(jump.keep, press)) {
    const [to] = placesOf(pad, state.signs);
    return { state: to === undefined ? state : { at: 'entry', ...to } };
  }
  const signs = signsOf(pad);
  if (same(jump.cursor, press)) return { state: { ...state, cursor: (state.cursor + 1) % signs.length } };
  const by = Number(same(jump.up, press)) - Number(same(jump.down, press));
  const here = signs[state.cursor] ?? [];
  const sign = here[ring(here.indexOf(state.signs.charAt(state.cursor)), by, here.length)] ?? '';
  return {
    state: {
      ...state,
      signs: state.signs.slice(0, state.cursor) + sign + state.signs.slice(state.cursor + 1),
    },
  };
}

/** What one press makes of it. A key that means nothing here changes nothing. */
export function pressed(pad: Pad, state: PadState, press: Press, drive: PadDrive): Pressed {
  const { operation, groups } = pad;
  const first = (group: number): PadState => ({ at: 'entry', group, place: 0 });
  switch (state.at) {
    case 'home':
      if (same(operation.home.jump, press)) return { state: jumpFrom(pad, '', state) };
      if (!same(operation.home.open, press)) return { state };
      return { state: operation.groups === null ? first(0) : { at: 'group', group: 0 } };
    case 'group': {
      const { groups: its } = operation;
      if (its === null || same(its.leave, press)) return { state: { at: 'home' } };
      if (same(its.open, press)) return { state: first(state.group) };
      if (same(its.jump, press))
        return { state: jumpFrom(pad, groups[state.group]?.numbers[0] ?? '', state) };
      const by = stepsOf(pad, its.next, press) - stepsOf(pad, its.previous, press);
      return { state: { at: 'group', group: ring(state.group, by, groups.length) } };
    }
    case 'entry':
      return inList(pad, state, press, drive);
    case 'value':
      return inValue(pad, state, press);
    case 'jump':
      return inJump(pad, state, press);
  }
}

const filled = (template: string, words: Readonly<Record<string, string>>): string =>
  template.replace(/\{(\w+)\}/g, (_, word: string) => words[word] ?? '');

/** A figure with the decimals of its entry; of a choice its number. */
const figure = (p: Parameter, value: number): string =>
  p.choices === undefined ? value.toFixed(Math.max(0, Math.round(-Math.log10(p.scale)))) : String(value);

/** What stands in the display. */
export function keypadDisplay(pad: Pad, state: PadState): string {
  const { shows } = pad.operation;
  if (state.at === 'home') return shows.home;
  if (state.at === 'jump') return state.signs;
  const group = pad.groups[state.group]?.name ?? '';
  if (state.at === 'group') return filled(shows.group, { group });
  const p = entryAt(pad, state);
  if (p === undefined) return '';
  const words = { number: p.number, name: p.name, group, unit: p.unit ?? '' };
  if (state.at === 'entry') return state.refused === true ? shows.locked : filled(shows.entry, words);
  const value = trackOf(pad, p).valueAt(state.edited);
  const shown = p.choices === undefined ? `${figure(p, value)} ${p.unit ?? ''}`.trim() : shownAs(p, value);
  return filled(shows.value, { ...words, value: figure(p, value), shown });
}
