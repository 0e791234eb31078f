import { linesOf, motorTerminals, type Position, type Probe, type Stage } from '@/core/equipment/power-stage';
import type { PositionState } from '@/core/bench/static-diagnosis';
import { markColour, type Mark } from '../../kit/state-mark';
import { ink, InLine, Junction, SmallMark } from './symbols';

export const markOfPosition = (state: PositionState | undefined): Mark =>
  state === undefined || state === 'unprobed' || state === 'unknown'
    ? 'unprobed'
    : state === 'sound'
      ? 'sound'
      : state === 'degraded'
        ? 'doubt'
        : 'failed';

const topY = 34;
const bottomY = 206;
const middleY = 120;

function Leg({
  x,
  name,
  upper,
  lower,
  transistor,
  thyristor = false,
  below,
}: {
  x: number;
  name: string;
  upper: Mark;
  lower: Mark;
  transistor: boolean;
  /** The upper device is one. */
  thyristor?: boolean;
  below: boolean;
}) {
  return (
    <g>
      <path d={`M${x} ${topY} V48 M${x} 108 V132 M${x} 192 V${bottomY}`} stroke={ink} strokeWidth="1.6" />
      <Junction x={x} y={78} mark={upper} transistor={transistor} thyristor={thyristor} />
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

/** A meter lead on its terminal, by colour and letter. */
function Lead({
  place,
  letter,
  colour,
}: {
  place: readonly [number, number] | undefined;
  letter: string;
  colour: string;
}) {
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
}

/** The small diodes of a half-controlled front end and the resistor they charge the bank through. */
function PrechargeBranch({
  lines,
  gap,
  linkX,
  bankX,
  mark,
}: {
  lines: readonly ('L1' | 'L2' | 'L3')[];
  gap: number;
  linkX: number;
  bankX: number;
  mark: (position: Position) => Mark;
}) {
  return (
    <g>
      <path d={`M85 -34 H${bankX} V${topY}`} stroke={ink} strokeWidth="1.4" fill="none" />
      {lines.map((l, i) => (
        <g key={l}>
          <path
            d={`M${52 + i * gap} 110 H${52 + i * gap + 33} V-14`}
            stroke={ink}
            strokeWidth="1.1"
            strokeDasharray="3 3"
            fill="none"
          />
          <path d={`M${52 + i * gap + 33} -20 V-34`} stroke={ink} strokeWidth="1.4" />
          <path
            d={`M${52 + i * gap + 26} -14 h14 l-7 -12 z m0 -12 h14`}
            fill="var(--chakra-colors-card)"
            stroke={mark(`pre.${l}`) === 'failed' ? markColour('failed') : ink}
            strokeWidth="1.6"
          />
          <SmallMark x={52 + i * gap + 48} y={-18} mark={mark(`pre.${l}`)} />
        </g>
      ))}
      <InLine x={linkX + 30} y={-34} kind="resistor" mark={mark('bus.precharge')} />
    </g>
  );
}

/** The brake chopper: diode above, switch below. */
function BrakeLeg({ x, mark }: { x: number; mark: (position: Position) => Mark }) {
  return (
    <g>
      <path d={`M${x} ${topY} V48 M${x} 108 V132 M${x} 192 V${bottomY}`} stroke={ink} strokeWidth="1.6" />
      <Junction x={x} y={78} mark={mark('brk.diode')} transistor={false} />
      <Junction x={x} y={162} mark={mark('brk.switch')} transistor />
      <circle cx={x} cy={middleY} r="3" fill={ink} />
      <text
        x={x - 8}
        y={middleY + 4}
        textAnchor="end"
        fontSize="12.5"
        style={{ fontFamily: "'IBM Plex Mono'" }}
        fill={ink}
      >
        BR
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
  const fuseX = (stage.brake ? brakeX : bankX) + 46;
  const invX = (stage.brake ? brakeX : bankX) + (stage.fuse === 'inverter' ? 112 : 82);
  const half = stage.frontEnd === 'scr-half-3ph';
  const precharge = half && stage.scrPrecharge === 'diodes';
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
  return (
    <svg
      viewBox={`0 ${precharge ? -66 : 0} ${end} ${precharge ? 306 : 240}`}
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
      {precharge && <PrechargeBranch lines={lines} gap={gap} linkX={linkX} bankX={bankX} mark={mark} />}
      {stage.fuse === 'inverter' && <InLine x={fuseX} y={topY} kind="fuse" mark={mark('bus.fuse')} />}
      {joint !== null && (
        <>
          <path d={`M${linkX + 12} ${topY} H${end - 30}`} stroke={ink} strokeWidth="1.8" />
          <InLine x={linkX} y={topY} kind={joint === 'bus.link' ? 'link' : 'resistor'} mark={mark(joint)} />
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
          thyristor={half}
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
      {stage.brake && <BrakeLeg x={brakeX} mark={mark} />}
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
      {probe !== null && (
        <Lead place={places[probe.black]} letter="B" colour="var(--chakra-colors-probe-black)" />
      )}
      {probe !== null && (
        <Lead place={places[probe.red]} letter="R" colour="var(--chakra-colors-probe-red)" />
      )}
    </svg>
  );
}
