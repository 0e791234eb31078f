import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { RecordedWire, UnitTerminal, WirePlacement, WireMap } from '@/core/replacement/wires';
import { outcomeMarks } from './placement-words';
import { markColour } from '../../../kit/state-mark';

const rowHeight = 30;
const stripWidth = 118;
const width = 640;
const top = 30;
const inner = { left: 30 + stripWidth, right: width - 30 - stripWidth };

/** Terminals that have a wire, or would get one; the others of their group stay folded. */
function shownOf(
  terminals: readonly UnitTerminal[],
  used: ReadonlySet<string>,
  all: boolean,
): UnitTerminal[] {
  return all ? [...terminals] : terminals.filter((t) => used.has(t.mark));
}

const shape = (outcome: WirePlacement['outcome']): string | undefined =>
  outcome === 'set' ? '7 4' : outcome === 'chosen' ? '2 4' : undefined;

/** Two terminal strips that face each other, the old one left, the new one right, and the wires between. */
export function FacingStrips({
  map,
  wires,
  names,
  open,
  choose,
  all,
}: {
  map: WireMap;
  wires: readonly RecordedWire[];
  names: { old: string; next: string };
  open: string | null;
  choose: (wire: string) => void;
  /** Terminals without a wire too. */
  all: boolean;
}) {
  const [hover, setHover] = useState<string | null>(null);
  const placementOf = new Map(map.fates.map((f) => [f.wire, f]));
  const from = new Set(wires.flatMap((w) => (w.from === null ? [] : [w.from])));
  const to = new Set(map.fates.flatMap((f) => (f.to === null ? [] : [f.to])));
  const jumpers = new Set([...map.jumpersOut, ...map.jumpersStay].flat());
  const left = shownOf(map.old, from, all);
  const right = shownOf(map.next, new Set([...to, ...jumpers]), all);
  // A mark that the catalogue does not have stands below the others, as it was found.
  const strange = [...from].filter((m) => !map.old.some((t) => t.mark === m));
  const loose = wires.filter((w) => w.from === null);
  const leftMarks = [...left.map((t) => t.mark), ...strange, ...(loose.length > 0 ? ['loose'] : [])];
  const rightMarks = right.map((t) => t.mark);
  const height = top + Math.max(leftMarks.length, rightMarks.length) * rowHeight + 14;
  const y = (marks: readonly string[], mark: string): number =>
    top + Math.max(0, marks.indexOf(mark)) * rowHeight + rowHeight / 2;
  const lit = hover ?? open;
  return (
    <Box as="figure" mb="3">
      <Box overflowX="auto" tabIndex={0} role="group" aria-label="Old and new terminal strip">
        <svg
          viewBox={`0 0 ${width} ${height}`}
          style={{ width: '100%', minWidth: 460, maxWidth: 760, display: 'block' }}
          aria-hidden
        >
          <text x={30} y={16} fontSize="13" fontWeight="600" fill="var(--chakra-colors-ink)">
            {names.old}
          </text>
          <text
            x={width - 30}
            y={16}
            textAnchor="end"
            fontSize="13"
            fontWeight="600"
            fill="var(--chakra-colors-ink)"
          >
            {names.next}
          </text>
          {leftMarks.map((mark, i) => (
            <MarkedTerminal
              key={mark}
              x={30}
              y={top + i * rowHeight}
              mark={mark}
              side="left"
              faint={mark === 'loose'}
            />
          ))}
          {rightMarks.map((mark, i) => (
            <MarkedTerminal
              key={mark}
              x={width - 30 - stripWidth}
              y={top + i * rowHeight}
              mark={mark}
              side="right"
              faint={!to.has(mark)}
            />
          ))}
          {[...map.jumpersOut, ...map.jumpersStay].map(([a, b]) => {
            const out = map.jumpersOut.some((j) => j[0] === a && j[1] === b);
            const x = inner.right + stripWidth + 6;
            return (
              <path
                key={`${a} ${b}`}
                d={`M${x} ${y(rightMarks, a)} C${x + 22} ${y(rightMarks, a)}, ${x + 22} ${y(rightMarks, b)}, ${x} ${y(rightMarks, b)}`}
                fill="none"
                stroke={out ? 'var(--chakra-colors-failed)' : 'var(--chakra-colors-slate)'}
                strokeWidth="2.5"
                strokeDasharray={out ? '4 3' : undefined}
              />
            );
          })}
          {leftMarks.map((mark) => {
            const here = wires.filter((w) => (w.from ?? 'loose') === mark).map((w) => w.number);
            return (
              <text
                key={mark}
                x={inner.left + 4}
                y={y(leftMarks, mark) - 4}
                fontSize="11"
                fill="var(--chakra-colors-soft)"
                style={{ fontFamily: 'var(--chakra-fonts-mono)' }}
              >
                {here.length > 3 ? `${here.slice(0, 2).join(' ')} +${here.length - 2}` : here.join(' ')}
              </text>
            );
          })}
          {wires.map((w) => {
            const placement = placementOf.get(w.id);
            return (
              <WireLine
                key={w.id}
                wire={w}
                outcome={placement?.outcome ?? 'unknown'}
                fromY={y(leftMarks, w.from ?? 'loose')}
                toY={placement === undefined || placement.to === null ? null : y(rightMarks, placement.to)}
                lit={lit === null ? null : lit === w.id}
                hover={(on) => setHover(on ? w.id : null)}
                choose={() => choose(w.id)}
              />
            );
          })}
        </svg>
      </Box>
      <Box as="figcaption" fontSize="0.92rem" color="soft">
        Solid line: terminal has this function. Dashed: parameter must be set first. Dotted: chosen by a
        person. Bar: cap and tag. Cross: no terminal yet. Dot on a wire: shared with another machine.
      </Box>
    </Box>
  );
}

function MarkedTerminal({
  x,
  y,
  mark,
  side,
  faint,
}: {
  x: number;
  y: number;
  mark: string;
  side: 'left' | 'right';
  faint: boolean;
}) {
  const head = side === 'left' ? x + stripWidth - 18 : x + 18;
  return (
    <g opacity={faint ? 0.55 : 1}>
      <rect
        x={x}
        y={y + 2}
        width={stripWidth}
        height={rowHeight - 4}
        fill="var(--chakra-colors-paper)"
        stroke="var(--chakra-colors-line)"
      />
      <circle
        cx={head}
        cy={y + rowHeight / 2}
        r="8"
        fill="none"
        stroke="var(--chakra-colors-ink)"
        strokeWidth="1.6"
      />
      <path
        d={`M${head - 5} ${y + rowHeight / 2 - 5} l10 10`}
        stroke="var(--chakra-colors-ink)"
        strokeWidth="1.6"
      />
      <text
        x={side === 'left' ? x + 10 : x + stripWidth - 10}
        y={y + rowHeight / 2 + 5}
        textAnchor={side === 'left' ? 'start' : 'end'}
        fontSize="15"
        style={{ fontFamily: 'var(--chakra-fonts-mono)' }}
        fill="var(--chakra-colors-ink)"
      >
        {mark}
      </text>
    </g>
  );
}

/** One wire from its old terminal to its new one, or to the cap or the cross it ends in. */
function WireLine({
  wire,
  outcome,
  fromY,
  toY,
  lit,
  hover,
  choose,
}: {
  wire: RecordedWire;
  outcome: WirePlacement['outcome'];
  fromY: number;
  /** Null: it goes to no terminal. */
  toY: number | null;
  /** Null: no wire is. */
  lit: boolean | null;
  hover: (on: boolean) => void;
  choose: () => void;
}) {
  const colour = markColour(outcomeMarks[outcome]);
  const d =
    toY === null
      ? `M${inner.left} ${fromY} h44`
      : `M${inner.left} ${fromY} C${inner.left + 130} ${fromY}, ${inner.right - 130} ${toY}, ${inner.right} ${toY}`;
  return (
    <g
      onMouseEnter={() => hover(true)}
      onMouseLeave={() => hover(false)}
      onClick={choose}
      style={{ cursor: 'pointer' }}
      opacity={lit === false ? 0.35 : 1}
    >
      <path d={d} fill="none" stroke="transparent" strokeWidth="14" />
      <path
        d={d}
        fill="none"
        stroke={colour}
        strokeWidth={lit === true ? 4 : 2.4}
        strokeDasharray={shape(outcome)}
      />
      {toY === null && (
        <path
          d={
            outcome === 'cap'
              ? `M${inner.left + 46} ${fromY - 6} v12`
              : `M${inner.left + 44} ${fromY - 5} l10 10 m0 -10 l-10 10`
          }
          stroke={colour}
          strokeWidth="2.6"
        />
      )}
      {wire.shared !== null && <circle cx={inner.left + 34} cy={fromY} r="5.5" fill={colour} />}
      {lit === true && (
        <text
          x={inner.left + 62}
          y={fromY - 5}
          fontSize="12.5"
          style={{ fontFamily: 'var(--chakra-fonts-mono)' }}
          fill="var(--chakra-colors-ink)"
          stroke="var(--chakra-colors-card)"
          strokeWidth="4"
          paintOrder="stroke"
        >
          {wire.number}
          {wire.ferrule === '' ? '' : ` ${wire.ferrule}`}
        </text>
      )}
    </g>
  );
}
