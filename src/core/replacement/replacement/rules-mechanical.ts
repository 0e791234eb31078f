// Common practice, no source, where no standard is named.
import { placeHoles } from './drilling';
import { row, unknown, type FitRow, type FitRule } from './rule';
import { sizeOf, type FitUnit } from './unit';

const sizeWords = (u: FitUnit): string => {
  const s = sizeOf(u);
  return s === null ? unknown : `${String(s.width_mm)} × ${String(s.height_mm)} × ${String(s.depth_mm)} mm`;
};

const noSize = (old: string, next: string, what: string): Omit<FitRow, 'id' | 'name'> =>
  row('ask', old, next, 'Not in the catalogue: measure it, or see the manual.', {
    action: { kind: 'ask', text: `${what}: measure, or see the manual` },
  });

/** A row about something that the catalogue says of both in a word. */
const compared = (
  id: string,
  name: string,
  word: (u: FitUnit) => string | undefined,
  judge: (
    old: string | undefined,
    next: string,
    asked: Parameters<FitRule['says']>[0]['asked'],
  ) => Omit<FitRow, 'id' | 'name' | 'old' | 'next'>,
): FitRule => ({
  id,
  name,
  says: ({ old, next, asked }) => {
    const [a, b] = [word(old), word(next)];
    return b === undefined
      ? noSize(a ?? unknown, unknown, name)
      : { old: a ?? unknown, next: b, ...judge(a, b, asked) };
  },
});

/** Footprint, drilling, clearance, entry, protection, ambient. */
export const mechanicalRules: readonly FitRule[] = [
  {
    id: 'footprint',
    name: 'Footprint',
    says: ({ old, next, asked: { room_mm } }) => {
      const [a, b] = [sizeOf(old), sizeOf(next)];
      const [left, right] = [sizeWords(old), sizeWords(next)];
      if (b === null) return noSize(left, right, 'Size');
      const over = (['width', 'height', 'depth'] as const).flatMap((side) => {
        const room = room_mm[side] ?? (a === null ? null : a[`${side}_mm`]);
        const more = room === null ? 0 : b[`${side}_mm`] - room;
        return more > 0
          ? [`${String(more)} mm ${side === 'width' ? 'wider' : side === 'height' ? 'higher' : 'deeper'}`]
          : [];
      });
      const measured = Object.values(room_mm).some((v) => v !== null);
      if (over.length === 0)
        return row(
          'fits',
          left,
          right,
          measured ? 'Fits the measured space.' : 'Not larger than the old unit.',
        );
      return row(measured ? 'does-not' : 'ask', left, right, `It is ${over.join(', ')}.`, {
        action: measured
          ? { kind: 'change', text: 'More space, or another location' }
          : { kind: 'ask', text: 'Measure the space in the cabinet' },
      });
    },
  },
  {
    id: 'drilling',
    name: 'Drilling',
    says: ({ old, next }) => {
      const [a, b] = [sizeOf(old), sizeOf(next)];
      const said = (s: typeof a): string => (s === null ? unknown : `${String(s.holes.length)} holes`);
      if (b === null) return noSize(said(a), said(b), 'Drilling');
      if (a === null)
        return row('adapts', said(a), said(b), 'Old holes not known.', {
          action: { kind: 'change', text: 'Drill by the template' },
        });
      const placed = placeHoles(a, b, next.control?.mounting?.hole_mm ?? null);
      if (placed.kept === b.holes.length) return row('fits', said(a), said(b), 'All holes exist already.');
      const { dx, dy } = placed;
      const parts = [
        ...(dx === 0 ? [] : [`${String(Math.abs(dx))} mm ${dx < 0 ? 'left' : 'right'}`]),
        ...(dy === 0 ? [] : [`${String(Math.abs(dy))} mm ${dy < 0 ? 'up' : 'down'}`]),
      ];
      const moved =
        parts.length === 0
          ? 'centred on the old position'
          : `${parts.join(' and ')} from the centre of the old position`;
      return placed.clear
        ? row('adapts', said(a), said(b), `New holes, ${moved}: no overlap with old holes.`, {
            sum: `nearest ${placed.nearest_mm.toFixed(1)} mm from an old hole, ${placed.apart_mm.toFixed(0)} mm required`,
            action: { kind: 'change', text: 'Drill by the template, never through the unit' },
          })
        : row('adapts', said(a), said(b), 'Near the old position, new holes overlap old ones.', {
            sum: `nearest ${placed.nearest_mm.toFixed(1)} mm, ${placed.apart_mm.toFixed(0)} mm required`,
            action: { kind: 'buy', text: 'An adapter plate' },
          });
    },
  },
  {
    id: 'clearance',
    name: 'Clearance above and below',
    says: ({ old, next }) => {
      const [a, b] = [sizeOf(old), sizeOf(next)];
      const said = (s: typeof a): string => (s === null ? unknown : `${String(s.clearance_mm)} mm`);
      if (b === null) return noSize(said(a), said(b), 'Clearance');
      return a !== null && b.clearance_mm > a.clearance_mm
        ? row(
            'ask',
            said(a),
            said(b),
            `${String(b.clearance_mm - a.clearance_mm)} mm more than the old unit.`,
            {
              action: { kind: 'ask', text: 'Measure the free space above and below' },
            },
          )
        : row('fits', said(a), said(b), 'Not more than the old unit needs.');
    },
  },
  compared(
    'cable-entry',
    'Cable entry',
    (u) => u.control?.mounting?.cableEntry,
    (old, next, { cablesFrom }) => {
      const from = cablesFrom ?? (old === 'both' ? null : (old ?? null));
      return from === null || next === 'both' || next === from
        ? { verdict: 'fits', text: 'Cable entry is on the correct side.' }
        : {
            verdict: 'adapts',
            text: `The cables come from ${from}: are they long enough?`,
            action: { kind: 'ask', text: 'Length of each cable to the other side' },
          };
    },
  ),
  compared(
    'protection',
    'Protection class',
    (u) => u.control?.mounting?.protection,
    (old, next, { protection }) => {
      const wanted = protection ?? old;
      // IEC 60529: the first figure is for solids, the second for water; each counts by itself.
      const less = wanted !== undefined && [2, 3].some((i) => Number(next[i]) < Number(wanted[i]));
      return less
        ? {
            verdict: 'does-not',
            text: `${wanted} is required here.`,
            action: { kind: 'buy', text: `An enclosure of ${wanted}` },
          }
        : { verdict: 'fits', text: `${wanted ?? next} is required here.` };
    },
  ),
  {
    id: 'ambient',
    name: 'Ambient',
    says: ({ old, next, asked }) => {
      const range = (u: FitUnit): string => {
        const r = u.control?.mounting?.ambient_C;
        return r === undefined ? unknown : `${String(r[0])} to ${String(r[1])} °C`;
      };
      const r = next.control?.mounting?.ambient_C;
      if (r === undefined) return noSize(range(old), range(next), 'Ambient');
      const was = old.control?.mounting?.ambient_C;
      if (asked.ambient_C === null)
        return was !== undefined && (r[0] > was[0] || r[1] < was[1])
          ? row(
              'ask',
              range(old),
              range(next),
              'Narrower range than the old unit: what are the temperatures there?',
              {
                action: { kind: 'ask', text: 'Ambient in the cabinet, summer and winter' },
              },
            )
          : row('fits', range(old), range(next), 'Not less than the old unit.');
      return asked.ambient_C >= r[0] && asked.ambient_C <= r[1]
        ? row('fits', range(old), range(next), `${String(asked.ambient_C)} °C there.`)
        : row(
            'adapts',
            range(old),
            range(next),
            `${String(asked.ambient_C)} °C there: derated, see current.`,
          );
    },
  },
  {
    id: 'weight',
    name: 'Weight',
    says: ({ old, next }) => {
      const [a, b] = [sizeOf(old), sizeOf(next)];
      const said = (s: typeof a): string => (s === null ? unknown : `${String(s.weight_kg)} kg`);
      if (b === null) return null;
      // A load that one person should not lift alone.
      return b.weight_kg > 25
        ? row('adapts', said(a), said(b), 'Too heavy for one person.', {
            action: { kind: 'change', text: 'Two people or a hoist' },
          })
        : row('fits', said(a), said(b), 'One person can lift it.');
    },
  },
  {
    id: 'fuses',
    name: 'Fuses and wire',
    says: ({ old, next }) => {
      const of = (u: FitUnit) => u.control?.fitting.fuses.find((f) => f.type === u.type);
      const said = (f: ReturnType<typeof of>): string =>
        f === undefined ? unknown : `${String(f.fuse_A)} A ${f.kind}, ${String(f.wire_mm2)} mm²`;
      const [a, b] = [of(old), of(next)];
      if (b === undefined) return noSize(said(a), said(b), 'Fuses');
      if (a !== undefined && a.fuse_A === b.fuse_A && a.kind === b.kind && a.wire_mm2 >= b.wire_mm2)
        return row('fits', said(a), said(b), 'Unchanged. The local code decides.');
      const wire = a !== undefined && a.wire_mm2 < b.wire_mm2;
      return row(
        wire ? 'does-not' : 'adapts',
        said(a),
        said(b),
        wire ? 'Larger wire needed.' : 'Other fuses needed. The local code decides.',
        {
          action: {
            kind: 'buy',
            text: wire ? `Wire of ${String(b.wire_mm2)} mm²` : `Fuses ${String(b.fuse_A)} A ${b.kind}`,
          },
        },
      );
    },
  },
  {
    id: 'discontinued',
    name: 'Availability',
    says: ({ old, next }) => {
      const said = (u: FitUnit): string => (u.discontinued ? 'discontinued' : 'yes');
      return next.discontinued
        ? row('adapts', said(old), said(next), 'No spares available.', {
            action: { kind: 'buy', text: 'Buy a spare too, or use a newer type' },
          })
        : row('fits', said(old), said(next), 'Still available.');
    },
  },
  {
    id: 'firmware',
    name: 'Firmware',
    says: ({ old, next }) =>
      old.firmware === null && next.firmware === null
        ? null
        : old.maker === next.maker && old.firmware !== next.firmware
          ? row(
              'ask',
              old.firmware ?? unknown,
              next.firmware ?? unknown,
              'Different firmware: read the release notes.',
              {
                action: { kind: 'ask', text: 'Release notes between the two versions' },
              },
            )
          : null,
  },
];
