import { markColour, type Mark } from '../../kit/state-mark';

export const ink = 'var(--chakra-colors-ink)';

/** A junction standing on its anode, after IEC 60617 (S00641); its state as a mark beside it. */
export function Junction({
  x,
  y,
  mark,
  transistor,
  thyristor = false,
}: {
  x: number;
  y: number;
  mark: Mark;
  transistor: boolean;
  thyristor?: boolean;
}) {
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
        {thyristor && <path d="M3 -7 L-12 -16" />}
        <path
          d="M-8 8 H8 L0 -7 Z M-8 -7 H8"
          fill={mark === 'failed' ? 'var(--chakra-colors-failed-wash)' : 'var(--chakra-colors-card)'}
        />
      </g>
      <SmallMark x={x + (transistor ? 32 : 17)} y={y} mark={mark} />
    </g>
  );
}

export function SmallMark({ x, y, mark }: { x: number; y: number; mark: Mark }) {
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

/** A part with two ends lying in a line: resistor, link or fuse, after IEC 60617 (S00555, S00362). */
export function InLine({
  x,
  y,
  kind,
  mark,
}: {
  x: number;
  y: number;
  kind: 'link' | 'resistor' | 'fuse';
  mark: Mark;
}) {
  const colour = mark === 'failed' ? markColour('failed') : ink;
  return (
    <g stroke={colour} strokeWidth="1.8" fill="var(--chakra-colors-card)">
      {kind === 'link' ? (
        <>
          <path d={`M${x - 12} ${y} H${x + 12}`} strokeWidth="4" />
          <circle cx={x - 12} cy={y} r="4" />
          <circle cx={x + 12} cy={y} r="4" />
        </>
      ) : (
        <rect x={x - 13} y={y - 6} width="26" height="12" />
      )}
      {kind === 'fuse' && <path d={`M${x - 13} ${y} H${x + 13}`} />}
      <SmallMark x={x} y={y - 15} mark={mark} />
    </g>
  );
}
