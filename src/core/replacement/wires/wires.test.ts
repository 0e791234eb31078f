/** The map of wires, on the types that ship, and its assignment against trying everything. */
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { controlSchema, driveTypeSchema } from '../../equipment/catalogue/schema';
import { factorySet, translate, type UnitSet } from '../../parameter-sets/parameters';
import {
  assign,
  labelFrom,
  labelText,
  wireRoleWords,
  unitTerminals,
  unticked,
  wireMap,
  wireIssues,
  type RecordedWire,
  type WireRole,
  type Wire,
  type WiredUnit,
} from '.';

const read = (type: string, file: string): unknown =>
  JSON.parse(readFileSync(`catalogue/${type}/${file}`, 'utf8'));
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const set = (type: string, changed: Record<string, number> = {}): UnitSet => {
  const control = controlSchema.parse(read(type, 'control.json'));
  const made = factorySet({ typeId: type, control, rating }, '50Hz');
  return { ...made, values: { ...made.values, ...changed } };
};
const wired = (type: string, { values }: Pick<UnitSet, 'values'> = set(type)): WiredUnit => ({
  type: driveTypeSchema.parse(read(type, 'type.json')),
  control: controlSchema.parse(read(type, 'control.json')),
  rating,
  values,
});
/** The net-drum: terminal 3 is reset, 5 enables; the reference comes as mA on C1, Y1 drives the brake. */
const knotSet = set('knot-k3', { 'C-04': 7, 'C-13': 5, 'C-12': 3 });
const whimbrelSet = translate(knotSet, set('whimbrel-w4'));
const knot = wired('knot-k3', knotSet);
const whimbrel = wired('whimbrel-w4', whimbrelSet);
const at = (from: string, role: WireRole | 'none' | 'unknown', more: Partial<Wire> = {}): Wire => ({
  id: from,
  from,
  role,
  ...more,
});
const roleAt = (unit: WiredUnit, mark: string) => unitTerminals(unit).find((t) => t.mark === mark)?.role;

describe('terminals', () => {
  it('have their role by the values of the unit, in the order of the screws', () => {
    const marks = unitTerminals(knot).map((t) => t.mark);
    expect(marks.slice(0, 10)).toEqual(['R', 'S', 'T', 'PE', 'N', 'P', 'RB', 'T1', 'T2', 'T3']);
    expect(marks.slice(10, 17)).toEqual(['PL', '1', '2', '3', '4', '5', 'CM']);
    expect(roleAt(knot, '1')).toBe('in:run-forward');
    expect(roleAt(knot, '5')).toBe('in:enable');
    expect(roleAt(knot, 'T2')).toBe('power:V');
    expect(new Set(marks).size).toBe(marks.length);
  });

  it('an input that a jumper sets is known once somebody looked', () => {
    const c1 = (jumpers: { AI2?: 'V' | 'mA' }) =>
      unitTerminals(knot, jumpers).find((t) => t.mark === 'C1')?.role;
    expect(c1({})).toBeNull();
    expect(c1({ AI2: 'mA' })).toBe('reference-current');
    expect(c1({ AI2: 'V' })).toBe('reference-volts');
  });

  it('a mark that is there twice is one node', () => {
    const godwit = unitTerminals(wired('godwit-g4')).filter((t) => t.mark === '24V');
    expect(godwit).toHaveLength(1);
  });
});

describe('the assignment', () => {
  it('is the one that trying every way finds', () => {
    const costs = fc.integer({ min: 1, max: 5 }).chain((rows) =>
      fc.integer({ min: rows, max: 6 }).chain((columns) =>
        fc.array(
          fc.array(fc.oneof(fc.integer({ min: 0, max: 20 }), fc.constant(Infinity)), {
            minLength: columns,
            maxLength: columns,
          }),
          { minLength: rows, maxLength: rows },
        ),
      ),
    );
    const least = (matrix: number[][], row = 0, used: readonly number[] = []): number =>
      row === matrix.length
        ? 0
        : Math.min(
            ...(matrix[row] ?? []).map((c, i) =>
              used.includes(i) ? Infinity : c + least(matrix, row + 1, [...used, i]),
            ),
          );
    fc.assert(
      fc.property(costs, (matrix) => {
        const columns = assign(matrix);
        expect(new Set(columns).size).toBe(matrix.length);
        const sum = columns.reduce((s, c, row) => s + (matrix[row]?.[c] ?? NaN), 0);
        expect(sum).toBe(least(matrix));
      }),
      { numRuns: 400 },
    );
  });
});

describe('the map from a Knot to a Whimbrel', () => {
  const wires = [
    at('R', 'power:L1'),
    at('T1', 'power:U'),
    at('RB', 'power:BR'),
    at('PL', 'plus24'),
    at('1', 'in:run-forward'),
    at('3', 'in:reset'),
    at('5', 'in:enable'),
    at('C1', 'reference-current'),
    at('CV', 'analog-common'),
    at('30A', 'relay:tripped:make'),
    at('30C', 'relay:tripped:common'),
    at('4', 'unknown'),
    at('PV', 'none'),
  ];
  const map = wireMap(wires, knot, whimbrel, { AI2: 'mA' });
  const placement = (id: string) => map.fates.find((f) => f.wire === id);

  it('follows what each wire is, not where it was', () => {
    expect(placement('R')).toMatchObject({ to: 'R', outcome: 'goes' });
    expect(placement('T1')).toMatchObject({ to: 'U', outcome: 'goes' });
    expect(placement('RB')?.to).toBe('PB');
    expect(placement('PL')?.to).toBe('24');
    expect(placement('CV')?.to).toBe('CA');
  });

  it('puts inputs where the carried set has them, with nothing to change', () => {
    for (const id of ['1', '3', '5']) {
      const { to, outcome, change } = placement(id) ?? {};
      expect(outcome).toBe('goes');
      expect(change).toBeNull();
      expect(roleAt(whimbrel, to ?? '')).toBe(wires.find((w) => w.id === id)?.role);
    }
  });

  it('says which parameter must change where the new unit does something else there', () => {
    const plain = wireMap([at('3', 'in:second-ramp')], knot, wired('whimbrel-w4'));
    expect(plain.fates[0]).toMatchObject({ outcome: 'set', change: { shown: 'second ramp' } });
    expect(plain.fates[0]?.why).toContain(plain.fates[0]?.change?.number ?? 'no parameter');
    // Reset has a terminal of its own there: nothing is taken from it.
    const both = wireMap([at('3', 'in:second-ramp'), at('4', 'in:reset')], knot, wired('whimbrel-w4'));
    expect(both.fates.map((f) => f.outcome)).toEqual(['set', 'goes']);
    expect(both.fates[0]?.to).not.toBe(both.fates[1]?.to);
  });

  it('keeps the contacts of a relay together', () => {
    const marks = [placement('30A')?.to, placement('30C')?.to];
    expect(marks.every((m) => m?.startsWith('R1') === true || m?.startsWith('R2') === true)).toBe(true);
    expect(marks[0]?.slice(0, 2)).toBe(marks[1]?.slice(0, 2));
    const broken = wireMap(
      [
        at('30B', 'relay:tripped:break'),
        at('30C', 'relay:tripped:common'),
        at('Y1', 'relay:running:make'),
        at('CY', 'relay:running:common'),
      ],
      knot,
      whimbrel,
    );
    // Only one of its relays has a break contact: it goes to the wire that needs one.
    expect(broken.fates.slice(0, 2).map((f) => f.to)).toEqual(['R1B', 'R1C']);
    expect(broken.fates.slice(2).map((f) => f.to)).toEqual(['R2A', 'R2B']);
  });

  it('leaves nothing out: unknown, loose, and without a terminal', () => {
    expect(placement('4')?.outcome).toBe('unknown');
    expect(placement('PV')?.outcome).toBe('cap');
    expect(Object.values(map.counts).reduce((a, b) => a + b, 0)).toBe(wires.length);
    const dunlin = wired('dunlin-d1');
    const many = ['in:run-forward', 'in:reset', 'in:preset-1', 'in:preset-2', 'in:preset-3'] as const;
    const little = wireMap(
      [
        ...many.map((role, i) => at(String(i + 1), role)),
        at('Y1', 'relay:running:make'),
        at('30A', 'relay:tripped:make'),
      ],
      knot,
      dunlin,
    );
    expect(little.counts['no-home']).toBeGreaterThanOrEqual(2);
    expect(
      little.fates.filter((f) => f.outcome === 'no-home').every((f) => f.why !== '' && f.to === null),
    ).toBe(true);
  });

  it('never puts mains on an input', () => {
    const hot = wireMap([at('1', 'in:run-forward', { volts: 230 })], knot, whimbrel);
    expect(hot.fates[0]).toMatchObject({ to: null, outcome: 'no-home' });
    expect(hot.fates[0]?.why).toContain('interposing relay');
  });

  it('what a person chose is taken, and nobody else gets it', () => {
    const chosen = wireMap(
      [
        at('1', 'in:run-forward', { chosen: 'X5' }),
        at('2', 'in:run-reverse'),
        at('4', 'in:preset-1'),
        at('5', 'in:enable'),
      ],
      knot,
      whimbrel,
    );
    // Chosen, and what must be set for it is said.
    expect(chosen.fates[0]).toMatchObject({ to: 'X5', outcome: 'set', change: { shown: 'run forward' } });
    expect(chosen.fates.slice(1).some((f) => f.to === 'X5')).toBe(false);
  });

  it('a wire that was seen on its terminal stays there when the values change, and what is wrong is said', () => {
    const plain = wired('whimbrel-w4');
    const landed = (id: string, role: WireRole, at: string) => ({ id, from: id, role, landed: at });
    const on = wireMap(
      [
        landed('3', 'in:reset', 'X3'),
        landed('1', 'in:run-forward', 'X1'),
        landed('V1', 'reference-volts', 'AO'),
      ],
      knot,
      plain,
    );
    expect(on.fates.map((f) => [f.to, f.outcome])).toEqual([
      ['X3', 'set'],
      ['X1', 'goes'],
      ['AO', 'by-hand'],
    ]);
    expect(on.fates[0]?.why).toMatch(/^Terminal X3. X3 is “interlock” now: 5-03 Input X3 must be “reset”/);
    expect(on.fates[2]?.why).toContain('AO cannot be');
    expect(wireMap([landed('3', 'in:reset', 'X3')], knot, whimbrel).fates[0]?.outcome).toBe('goes');
  });

  it('what a person chose is looked at too: another phase, the other contact, mains on an input', () => {
    const chosen = (id: string, role: WireRole, to: string, more: Partial<Wire> = {}) =>
      wireMap([{ id, from: id, role, chosen: to, ...more }], knot, whimbrel).fates[0];
    expect(chosen('T1', 'power:U', 'R')).toMatchObject({ outcome: 'by-hand' });
    expect(chosen('T1', 'power:U', 'R')?.why).toBe('Chosen by a person. R is “power, L1”, not “power, U”.');
    expect(chosen('30A', 'relay:tripped:make', 'R1B')?.outcome).toBe('by-hand');
    expect(chosen('30A', 'relay:tripped:make', 'R1A')?.outcome).toBe('chosen');
    expect(chosen('1', 'in:run-forward', 'X1', { volts: 230 })?.why).toContain('230 V measured');
    expect(chosen('CM', 'digital-common', 'CA')?.outcome).toBe('by-hand');
  });

  it('several wires may share a common, and it says so', () => {
    const twin = wireMap(
      [at('CM', 'digital-common'), { ...at('CM', 'digital-common'), id: 'b' }],
      knot,
      whimbrel,
    );
    expect(twin.fates.map((f) => f.to)).toEqual(['CD', 'CD']);
    expect(twin.notes.map((n) => n.id)).toContain('crowded:CD');
  });

  it('names a missing return, a selector nobody looked at, and STO that is new', () => {
    const ids = wireMap(
      [at('1', 'in:run-forward'), at('C1', 'reference-current'), at('Y1', 'relay:running:make')],
      knot,
      whimbrel,
    ).notes.map((n) => n.id);
    expect(ids).toEqual(
      expect.arrayContaining([
        'return:digital',
        'return:analog',
        'return:relay:running',
        'selector:AI2',
        'safe-stop:new',
      ]),
    );
    // Of a selector that was looked at it says where it stood: that may be put right.
    expect(map.notes).toMatchObject([{ id: 'safe-stop:new' }, { id: 'selector:AI2', stood: 'mA' }]);
    expect(map.jumpersOut).toEqual([]);
    expect(map.jumpersStay).toHaveLength(3);
  });

  it('takes the factory jumpers out where STO is wired', () => {
    const godwit = wired('godwit-g4');
    const safe = wireMap(
      [at('ST1', 'safe-1'), at('ST2', 'safe-2'), at('STC', 'safe-return'), at('24V', 'safe-supply')],
      godwit,
      whimbrel,
    );
    expect(safe.fates.map((f) => f.to)).toEqual(['SA', 'SB', 'SC', '24S']);
    expect(safe.jumpersOut).toHaveLength(3);
    // A return that nobody found is no reason to open the one that is there.
    const half = [at('ST1', 'safe-1'), at('ST2', 'safe-2'), at('24V', 'safe-supply')];
    expect(wireMap(half, godwit, whimbrel).jumpersOut.map(([, end]) => end)).not.toContain('SC');
    expect(wireMap([at('ST1', 'safe-1')], godwit, knot).fates[0]?.outcome).toBe('no-home');
    expect(wireMap([], godwit, knot).notes.map((n) => n.id)).toContain('safe-stop:gone');
  });

  it('three hundred wires are mapped, each once', () => {
    const many = Array.from({ length: 300 }, (_, i): Wire => {
      const from = wires[i % wires.length];
      return { id: String(i), from: from?.from ?? null, role: from?.role ?? 'none' };
    });
    const big = wireMap(many, knot, whimbrel, { AI2: 'mA' });
    expect(new Set(big.fates.map((f) => f.wire)).size).toBe(300);
  });
});

describe('the wire list', () => {
  const wire = (more: Partial<RecordedWire>): RecordedWire => ({
    id: 'a',
    number: 1,
    from: '1',
    role: 'in:run-forward',
    ferrule: '',
    drawing: '',
    colour: '',
    core: '',
    drawnAt: null,
    proven: true,
    later: false,
    shared: null,
    photos: [],
    accepted: null,
    ticked: {},
    ...more,
  });
  const issues = (more: Partial<RecordedWire>) => {
    const w = wire(more);
    return wireIssues([w], wireMap([w], knot, whimbrel).fates);
  };

  it('two STO channels without their return hold the swap', () => {
    const channels = [wire({ id: 'a', role: 'safe-1' }), wire({ id: 'b', number: 2, role: 'safe-2' })];
    const held = (wires: RecordedWire[]) =>
      wireIssues(wires, []).filter((m) => m.holds && m.text.includes('their return is not'));
    expect(held(channels)).toMatchObject([{ wire: 'a' }]);
    expect(held([...channels, wire({ id: 'c', number: 3, role: 'safe-return' })])).toEqual([]);
    expect(held(channels.slice(0, 1))).toEqual([]);
  });

  it.each<[string, Partial<RecordedWire>, RegExp, boolean]>([
    ['an unknown wire', { role: 'unknown' }, /unknown wire/, true],
    [
      'a signal shared with nobody asked',
      { shared: { machine: 'grading drum', meanwhile: '' } },
      /grading drum/,
      true,
    ],
    ['a quick note', { later: true }, /details missing/, true],
    ['a drawing that is wrong', { drawnAt: '2' }, /drawing shows 2/, false],
    ['a function nobody proved', { proven: false }, /not proven/, false],
    ['a wire without a terminal', { role: 'serial' }, /Choose a terminal/, true],
  ])('%s', (_, more, text, holds) => {
    const [first] = issues(more);
    expect(first?.text).toMatch(text);
    expect(first?.holds).toBe(holds);
  });

  it('is quiet where everything is settled', () => {
    expect(issues({})).toEqual([]);
    expect(issues({ role: 'unknown', accepted: { by: 'Odo Wrack', reason: 'spare core' } })).toEqual([]);
    expect(issues({ shared: { machine: 'grading drum', meanwhile: 'stands' } })).toEqual([]);
  });

  it('a number used twice is an issue of the second', () => {
    const two = [wire({}), wire({ id: 'b', from: '2' })];
    expect(wireIssues(two, []).map((m) => m.wire)).toEqual(['b']);
  });

  it('a wire is on when both ends were seen', () => {
    const list = [
      wire({ ticked: { drive: 'Ines' } }),
      wire({ id: 'b', ticked: { drive: 'Ines', field: 'Pip' } }),
    ];
    const { fates } = wireMap(list, knot, whimbrel);
    expect(unticked(list, fates).map((w) => w.id)).toEqual(['a']);
  });

  it('a label is read back', () => {
    const jobId = '0190a200-0000-7000-8000-00000000000b';
    expect(labelFrom(labelText(jobId, { number: 17 }))).toEqual({ jobId, number: 17 });
    expect(labelFrom('https://elsewhere.example/17')).toBeNull();
  });

  it('roles have words', () => {
    expect(wireRoleWords('in:coast-break')).toBe('coast-to-stop (N.C.)');
    expect(wireRoleWords('relay:brake-release:make')).toBe('relay “brake release”, make');
    expect(wireRoleWords('power:PE')).toBe('protective earth');
  });
});
