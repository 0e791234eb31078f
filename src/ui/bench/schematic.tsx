import { linesOf, motorTerminals, type Position, type Probe, type Stage } from '@/core/power-stage';
import type { PositionState } from '@/core/static-diagnosis';
import type { Mark } from '../kit/state-mark';
import { markColour } from '../kit/state-mark';

export const markOfPosition = (state: PositionState | undefined): Mark =>
  state === undefined || state === 'unprobed' || state === 'unknown'
    ? 'unprobed'
    : state === 'sound'
      ? 'sound'
      : state === 'degraded'
        ? 'doubt'
        : 'failed';

const ink = 'var(--chakra-colors-ink)';
const topY = 34;
const bottomY = 206;
const middleY = 120;

/** A junction standing on its anode, after IEC 60617 (S00641); its state as a mark beside it. */
function Junction({ x, y, mark, transistor }: { x: number; y: number; mark: Mark; transistor: boolean }) {
  const colour = mark === 'unprobed' || mark === 'sound' ? ink : markColour(mark);
  return (
    <g stroke={colour} strokeWidth={mark === 'failed' ? 2.6 : 1.8} fill="none">
      {transistor && (
        <>
          <path d={`M${x} ${y - 30} V${y - 14} M${x} ${y + 14} V${y + 30}`} />
          <path
            d={`M${x - 22} ${y} H${x - 13} M${x - 13} ${y - 10} V${y + 10} M${x - 9} ${y - 13} V${y + 13}`}
          />
          <path d={`M${x - 9} ${y - 7} L${x} ${y - 14} M${x - 9} ${y + 7} L${x} ${y + 14}`} />
          <path d={`M${x - 5} ${y + 13.5} L${x} ${y + 14} L${x - 2} ${y + 9}`} fill={colour} />
          <path d={`M${x} ${y - 22} H${x + 14} V${y - 7} M${x + 14} ${y + 7} V${y + 22} H${x}`} />
        </>
      )}
      <g transform={`translate(${transistor ? x + 14 : x} ${y})`}>
        {!transistor && <path d="M0 -30 V-8 M0 8 V30" />}
        <path
          d="M-8 8 H8 L0 -7 Z M-8 -7 H8"
          fill={mark === 'failed' ? 'var(--chakra-colors-failed-wash)' : 'var(--chakra-colors-card)'}
        />
      </g>
      <SmallMark x={x + (transistor ? 32 : 17)} y={y} mark={mark} />
    </g>
  );
}

function SmallMark({ x, y, mark }: { x: number; y: number; mark: Mark }) {
  const colour = markColour(mark);
  if (mark === 'sound') return <circle cx={x} cy={y} r="4.5" fill={colour} stroke="none" />;
  if (mark === 'failed')
    return (
      <path
        d={`M${x - 5} ${y - 5} L${x + 5} ${y + 5} M${x + 5} ${y - 5} L${x - 5} ${y + 5}`}
        stroke={colour}
        strokeWidth="3"
      />
    );
  return (
    <g>
      <circle cx={x} cy={y} r="4.5" fill="none" stroke={colour} strokeWidth="1.5" />
      {mark === 'doubt' && <path d={`M${x} ${y - 4.5} a4.5 4.5 0 0 1 0 9 z`} fill={colour} stroke="none" />}
    </g>
  );
}

function Leg({
  x,
  name,
  upper,
  lower,
  transistor,
  below,
}: {
  x: number;
  name: string;
  upper: Mark;
  lower: Mark;
  transistor: boolean;
  below: boolean;
}) {
  return (
    <g>
      <path d={`M${x} ${topY} V48 M${x} 108 V132 M${x} 192 V${bottomY}`} stroke={ink} strokeWidth="1.6" />
      <Junction x={x} y={78} mark={upper} transistor={transistor} />
      <Junction x={x} y={162} mark={lower} transistor={transistor} />
      <circle cx={x} cy={middleY} r="3" fill={ink} />
      <path d={`M${x} ${middleY} H${x + (below ? 20 : -20)}`} stroke={ink} strokeWidth="1.4" />
      <text
        x={x + (below ? 23 : -23)}
        y={middleY + 4}
        textAnchor={below ? 'start' : 'end'}
        fontSize="12.5"
        style={{ fontFamily: "'IBM Plex Mono'" }}
        fill={ink}
      >
        {name}
      </text>
    </g>
  );
}

/** The power stage drawn from what it is made of, each device with its state; both leads marked. */
export function Schematic({
  stage,
  states,
  probe,
}: {
  stage: Stage;
  states: Partial<Record<Position, PositionState>>;
  probe: Probe | null;
}) {
  const mark = (position: Position): Mark => markOfPosition(states[position]);
  const lines = linesOf(stage);
  const gap = 66;
  const rectEnd = 52 + (lines.length - 1) * gap;
  const linkX = rectEnd + 52;
  const bankX = linkX + 62;
  const brakeX = bankX + 74;
  const invX = (stage.brake ? brakeX : bankX) + 82;
  const end = invX + 2 * 84 + 64;
  const joint =
    stage.link === 'none' ? null : stage.link === 'link' ? ('bus.link' as const) : ('bus.precharge' as const);
  const places: Record<string, [number, number]> = {
    'DC+': [bankX, topY],
    'DC-': [bankX, bottomY],
    'DC+R': [linkX - 24, topY],
    BR: [brakeX, middleY],
    ...Object.fromEntries(lines.map((l, i) => [l, [52 + i * gap, middleY]])),
    ...Object.fromEntries(motorTerminals.map((p, i) => [p, [invX + i * 84, middleY]])),
  };
  const lead = (terminal: string, letter: string, colour: string) => {
    const place = places[terminal];
    if (place === undefined) return null;
    return (
      <g>
        <circle
          cx={place[0]}
          cy={place[1]}
          r="10"
          fill={colour}
          stroke="var(--chakra-colors-card)"
          strokeWidth="1.5"
        />
        <text
          x={place[0]}
          y={place[1] + 4}
          textAnchor="middle"
          fill="#fff"

          fontSize="11.5"
          style={{ fontFamily: "'Barlow'", fontWeight: 600 }}
        >
          {letter}
        </text>
      </g>
    );
  };
  return (
    <svg
      viewBox={`0 0 ${end} 240`}
      style={{ width: '100%', maxWidth: end, display: 'block' }}
      role="img"
      aria-label="Schematic of the power stage with the state of every device"
    >
      <path
        d={`M52 ${topY} H${joint === null ? end - 30 : linkX - 12} M52 ${bottomY} H${end - 30}`}
        stroke={ink}
        strokeWidth="1.8"
        fill="none"
      />
      {joint !== null && (
        <>
          <path d={`M${linkX + 12} ${topY} H${end - 30}`} stroke={ink} strokeWidth="1.8" />
          <rect
            x={linkX - 12}
            y={topY - 6}
            width="24"
            height="12"
            fill="var(--chakra-colors-card)"
            stroke={mark(joint) === 'failed' ? markColour('failed') : ink}
            strokeWidth="1.8"
          />
          <SmallMark x={linkX} y={topY - 16} mark={mark(joint)} />
          <text
            x={linkX - 26}
            y={topY - 9}
            textAnchor="end"
            fontSize="11.5"
            style={{ fontFamily: "'IBM Plex Mono'" }}
            fill={ink}
          >
            DC+R
          </text>
        </>
      )}
      <text x={end - 26} y={topY + 4} fontSize="12" style={{ fontFamily: "'IBM Plex Mono'" }} fill={ink}>
        +
      </text>
      <text x={end - 26} y={bottomY + 4} fontSize="12" style={{ fontFamily: "'IBM Plex Mono'" }} fill={ink}>
        −
      </text>
      {lines.map((l, i) => (
        <Leg
          key={l}
          x={52 + i * gap}
          name={l}
          upper={mark(`rect.${l}.hi`)}
          lower={mark(`rect.${l}.lo`)}
          transistor={false}
          below={false}
        />
      ))}
      <g stroke={mark('bus.cap') === 'failed' ? markColour('failed') : ink} strokeWidth="2">
        <path
          d={`M${bankX} ${topY} V${middleY - 5} M${bankX} ${middleY + 5} V${bottomY}`}
          strokeWidth="1.6"
        />
        <path
          d={`M${bankX - 15} ${middleY - 5} H${bankX + 15} M${bankX - 15} ${middleY + 5} H${bankX + 15}`}
          strokeWidth="2.6"
        />
      </g>
      <SmallMark x={bankX + 26} y={middleY} mark={mark('bus.cap')} />
      {stage.brake && (
        <g>
          <path
            d={`M${brakeX} ${topY} V48 M${brakeX} 108 V132 M${brakeX} 192 V${bottomY}`}
            stroke={ink}
            strokeWidth="1.6"
          />
          <Junction x={brakeX} y={78} mark={mark('brk.diode')} transistor={false} />
          <Junction x={brakeX} y={162} mark={mark('brk.switch')} transistor />
          <circle cx={brakeX} cy={middleY} r="3" fill={ink} />
          <text
            x={brakeX - 8}
            y={middleY + 4}
            textAnchor="end"
            fontSize="12.5"
            style={{ fontFamily: "'IBM Plex Mono'" }}
            fill={ink}
          >
            BR
          </text>
        </g>
      )}
      {motorTerminals.map((p, i) => (
        <Leg
          key={p}
          x={invX + i * 84}
          name={p}
          upper={mark(`inv.${p}.hi`)}
          lower={mark(`inv.${p}.lo`)}
          transistor
          below
        />
      ))}
      {probe !== null && lead(probe.black, 'B', 'var(--chakra-colors-probe-black)')}
      {probe !== null && lead(probe.red, 'R', 'var(--chakra-colors-probe-red)')}
    </svg>
  );
}
