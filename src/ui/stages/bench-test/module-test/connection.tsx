import type { Connection } from '@/core/bench/module-test';

const ink = 'var(--chakra-colors-ink)';
const soft = 'var(--chakra-colors-soft)';
const label = { fontFamily: "'IBM Plex Mono'" } as const;

/**
 * What is joined to what for one step: battery, lamp, the device under test, and the finger wire from a
 * battery post to the gate. Symbols after IEC 60617 (battery S01341, lamp S00965).
 */
export function ConnectionPicture({ connection, gate }: { connection: Connection; gate: 'plus' | 'minus' }) {
  const { toMinus, throughLamp, gate: gateName, bridged } = connection;
  const postY = gate === 'plus' ? 46 : 194;
  const postX = gate === 'plus' ? 62 : 62;
  const colour = gate === 'plus' ? 'var(--chakra-colors-probe-red)' : 'var(--chakra-colors-probe-black)';
  return (
    <svg
      viewBox="0 0 560 240"
      style={{ width: '100%', maxWidth: 560, display: 'block' }}
      role="img"
      aria-label={`Battery minus on ${toMinus}; battery plus through the lamp on ${throughLamp}; finger wire from the ${gate} post to ${gateName}`}
    >
      <g stroke={ink} strokeWidth="2" fill="none">
        <path d="M62 46 V104 M62 134 V194" />
        <path d="M40 104 H84 M50 114 H74 M40 124 H84 M50 134 H74" strokeWidth="3" />
        <path d="M62 46 H196 M236 46 H400 V82 M62 194 H400 V158" />
        <circle cx="216" cy="46" r="20" fill="var(--chakra-colors-doubt-wash)" />
        <path d="M202 32 L230 60 M230 32 L202 60" />
        <path d="M400 82 V100 M400 140 V158 M386 96 V144 M378 96 V144 M386 108 L400 100 M386 132 L400 140" />
        <path d="M392 140 L400 140 L397 132" fill={ink} />
        <path d="M378 120 H340" />
        <path d="M400 88 H436 V108 M436 132 V152 H400 M426 132 H446 L436 112 Z M426 112 H446" />
      </g>
      <path
        d={`M${postX} ${postY} C ${160} ${postY}, ${200} ${120}, ${334} ${120}`}
        stroke={colour}
        strokeWidth="4"
        strokeDasharray="9 6"
        fill="none"
      />
      <circle cx="340" cy="120" r="7" fill={colour} />
      {[
        [62, 46],
        [62, 194],
        [400, 46],
        [400, 194],
      ].map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="5" fill={ink} />
      ))}
      <g fontSize="15" fill={ink} style={label}>
        <text x="36" y="42" textAnchor="end">
          +
        </text>
        <text x="36" y="200" textAnchor="end">
          −
        </text>
        <text x="412" y="50" fontWeight="600">
          {throughLamp}
        </text>
        <text x="412" y="200" fontWeight="600">
          {toMinus}
        </text>
        <text x="340" y="106" textAnchor="middle" fontWeight="600">
          {gateName}
        </text>
        <text x="216" y="16" textAnchor="middle" fontSize="12.5" fill={soft}>
          12 V lamp
        </text>
        <text x="96" y="124" fontSize="12.5" fill={soft}>
          12 V
        </text>
      </g>
      {bridged.length > 0 && (
        <text x="280" y="232" textAnchor="middle" fontSize="13" fill={ink} style={label}>
          bridged: {bridged.map((b) => `${b.gate}–${b.to}`).join('  ')}
        </text>
      )}
    </svg>
  );
}
