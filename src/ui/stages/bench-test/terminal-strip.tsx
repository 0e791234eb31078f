import type { KeyboardEvent } from 'react';
import type { Terminal, MarkedTerminal } from '@/core/equipment/power-stage';
import { isPlainMark } from './bench-plan';

const pitch = 60;
const ink = 'var(--chakra-colors-ink)';

function Probe({ x, colour, letter }: { x: number; colour: string; letter: string }) {
  return (
    <g>
      <path
        d={`M${x} 86 L${x + 10} 30 L${x + 22} 8`}
        stroke={colour}
        strokeWidth="7"
        fill="none"
        strokeLinecap="round"
      />
      <circle cx={x + 17} cy="20" r="14" fill={colour} stroke="var(--chakra-colors-card)" strokeWidth="1.5" />
      <text
        x={x + 17}
        y="25.5"
        textAnchor="middle"
        fill="#fff"
        style={{ fontFamily: "'Barlow'", fontWeight: 600 }}

        fontSize="15"
      >
        {letter}
      </text>
    </g>
  );
}

/**
 * The power strip in the order of its screws, with the letters on its plate, the neutral names
 * below and both leads where they belong for this step.
 */
export function TerminalStrip({
  strip,
  red,
  black,
  pick,
  picked = null,
}: {
  strip: readonly MarkedTerminal[];
  red: Terminal | null;
  black: Terminal | null;
  /** Free order: a terminal was chosen, first for red, then for black. */
  pick?: (terminal: Terminal) => void;
  /** The terminal chosen for red so far. */
  picked?: Terminal | null;
}) {
  const at = (terminal: Terminal | null): number => {
    const index = strip.findIndex((s) => s.terminal === terminal);
    return index < 0 ? -1 : 10 + index * pitch + 27;
  };
  const markOf = (terminal: Terminal | null): string =>
    strip.find((s) => s.terminal === terminal)?.mark ?? String(terminal);
  const width = strip.length * pitch + 26;
  return (
    <svg
      viewBox={`0 0 ${width} 148`}
      style={{ width: '100%', maxWidth: width, display: 'block' }}
      role="group"
      data-leads={red === null || black === null ? '' : `${red} ${black}`}
      aria-label={
        red === null || black === null
          ? 'Power strip'
          : `Power strip: red lead on ${markOf(red)}, black lead on ${markOf(black)}`
      }
    >
      {strip.map(({ mark, terminal }, i) => {
        const x = 10 + i * pitch;
        const touched = terminal === red || terminal === black;
        const free = terminal !== 'PE' && pick !== undefined;
        const choose = () => terminal !== 'PE' && pick?.(terminal);
        return (
          <g
            key={`${mark}-${terminal}`}
            {...(free
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-pressed': picked === terminal,
                  'aria-label': `${picked === null || picked === terminal ? 'Red' : 'Black'} lead on ${mark}${isPlainMark(mark, terminal) ? '' : `, ${terminal}`}`,
                  onClick: choose,
                  onKeyDown: (e: KeyboardEvent) => {
                    if (e.key !== 'Enter' && e.key !== ' ') return;
                    e.preventDefault();
                    choose();
                  },
                  style: { cursor: 'pointer' },
                }
              : {})}
          >
            <rect
              x={x}
              y="64"
              width="54"
              height="56"
              rx="3"
              fill="var(--chakra-colors-paper)"
              stroke={ink}
              strokeWidth={touched || picked === terminal ? 3 : 1.6}
              {...(picked === terminal ? { strokeDasharray: '5 3' } : {})}
            />
            <circle cx={x + 27} cy="86" r="9" fill="none" stroke={ink} strokeWidth="1.6" />
            <path d={`M${x + 21} 92 L${x + 33} 80`} stroke={ink} strokeWidth="1.6" />
            <text
              x={x + 27}
              y="114"
              textAnchor="middle"
              style={{ fontFamily: "'Barlow Semi Condensed'", fontWeight: 600 }}

              fontSize="16"
              fill={ink}
            >
              {mark}
            </text>
            <text
              x={x + 27}
              y="138"
              textAnchor="middle"
              style={{ fontFamily: "'IBM Plex Mono'" }}
              fontSize="12.5"
              fill="var(--chakra-colors-soft)"
            >
              {isPlainMark(mark, terminal) ? '' : terminal.replace('DC-', 'DC−')}
            </text>
          </g>
        );
      })}
      {at(black) >= 0 && <Probe x={at(black)} colour="var(--chakra-colors-probe-black)" letter="B" />}
      {at(red) >= 0 && <Probe x={at(red)} colour="var(--chakra-colors-probe-red)" letter="R" />}
    </svg>
  );
}
