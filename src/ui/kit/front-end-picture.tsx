import type { Stage } from '@/core/equipment/power-stage';
import type { Option } from './field';

type FrontEnd = Stage['frontEnd'];

/** What is seen of a front end from its terminals, in words. Common practice, no source. */
export const frontEndWords: Readonly<Record<FrontEnd, { name: string; about: string }>> = {
  'diode-3ph': { name: 'Three lines in', about: 'L1 L2 L3 onto diodes: most units' },
  'diode-1ph': { name: 'Two lines in', about: 'L and N onto diodes: small units' },
  'scr-half-3ph': {
    name: 'Three lines in, thyristors',
    about: 'Large units without a charging relay',
  },
};

/** In the order they are met. */
export const frontEnds: readonly FrontEnd[] = ['diode-3ph', 'diode-1ph', 'scr-half-3ph'];

const top = 14;
const bottom = 94;

/** One valve between a line and a bus rail, pointing up (IEC 60617 S00641; with a gate S00654). */
function Valve({ x, y, gate }: { x: number; y: number; gate: boolean }) {
  return (
    <g>
      <path d={`M${x - 6} ${y + 5} H${x + 6} L${x} ${y - 6} Z M${x - 6} ${y - 6} H${x + 6}`} fill="none" />
      {gate && <path d={`M${x + 1} ${y - 6} L${x + 7} ${y} H${x + 11}`} fill="none" />}
    </g>
  );
}

/** A front end as the diode test sees it: lines at the left, bus at the right. */
export function FrontEndPicture({ frontEnd }: { frontEnd: FrontEnd }) {
  const lines = frontEnd === 'diode-1ph' ? ['L', 'N'] : ['L1', 'L2', 'L3'];
  return (
    <svg
      viewBox="0 0 182 108"
      width="182"
      height="108"
      aria-hidden="true"
      focusable="false"
      stroke="currentColor"
      strokeWidth="1.6"
      style={{ fontSize: '11px' }}
    >
      <path d={`M54 ${top} H150 M54 ${bottom} H150 M150 ${top} V46 M150 62 V${bottom}`} fill="none" />
      <path d="M140 50 H160 M140 58 H160 M150 46 V50 M150 58 V62" fill="none" />
      {lines.map((line, i) => {
        const x = 54 + i * 28;
        const y = 54 + (i - (lines.length - 1) / 2) * 16;
        return (
          <g key={line}>
            <path d={`M26 ${y} H${x} M${x} ${top} V${bottom}`} fill="none" />
            <circle cx={x} cy={y} r="2" fill="currentColor" stroke="none" />
            <circle cx="23" cy={y} r="2.6" fill="none" />
            <text x="2" y={y + 4} fill="currentColor" stroke="none">
              {line}
            </text>
            <Valve x={x} y={26} gate={frontEnd === 'scr-half-3ph'} />
            <Valve x={x} y={84} gate={false} />
          </g>
        );
      })}
      <text x="154" y={top + 4} fill="currentColor" stroke="none">
        DC+
      </text>
      <text x="154" y={bottom + 4} fill="currentColor" stroke="none">
        DC−
      </text>
    </svg>
  );
}

/** Front ends to choose from by what is seen of them. */
export const frontEndOptions: readonly Option<FrontEnd>[] = frontEnds.map((value) => ({
  value,
  label: frontEndWords[value].name,
  picture: <FrontEndPicture frontEnd={value} />,
}));
