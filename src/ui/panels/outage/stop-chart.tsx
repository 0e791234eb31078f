import { Box } from '@chakra-ui/react';
import { scaleLinear, type ScaleLinear } from 'd3';
import { useState } from 'react';
import type { NamedTask, StopPlan } from '@/core/replacement/stop-plan';
import { PlainTable } from '../../kit/plain-table';
import { Disclosure } from '../../kit/why';
import { Cell } from '../../kit/text';

/** What is drawn of a plan. */
type DrawnPlan = Pick<StopPlan, 'stop_min' | 'stopsAt_min' | 'total_min' | 'schedule'>;

const width = 720;
const row = 44;
const inset = { left: 74, right: 14, top: 36, bottom: 46 };
/** Above the lanes: labels of the clock stand on two lines, so that close ones do not meet. */
const labelLines = { upper: 11, lower: 24 } as const;
/** A label of the clock is so wide at most, in units of the drawing. */
const labelWidth = 52;

const fills = {
  isolated: 'var(--chakra-colors-ink)',
  stop: 'var(--chakra-colors-doubt)',
  free: 'var(--chakra-colors-sound)',
} as const;
const kindWords = {
  isolated: 'isolated, work inside',
  stop: 'machine stopped',
  free: 'as it is',
} as const;
const kindOf = (task: NamedTask | undefined): keyof typeof fills =>
  task?.needs.includes('isolated') === true
    ? 'isolated'
    : task?.needs.includes('stop') === true
      ? 'stop'
      : 'free';

interface Drawn {
  plan: DrawnPlan;
  x: ScaleLinear<number, number>;
  height: number;
}

/** A bar for each task and person; its number is the one in the list. */
function TaskBars({
  plan,
  x,
  tasks,
  hover,
  setHover,
}: Pick<Drawn, 'plan' | 'x'> & {
  tasks: readonly NamedTask[];
  hover: string | null;
  setHover: (id: string | null) => void;
}) {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  return (
    <>
      {plan.schedule.flatMap((s) =>
        s.people.map((who) => {
          const kind = kindOf(byId.get(s.id));
          return (
            <g key={`${s.id} ${who}`} onMouseEnter={() => setHover(s.id)} onMouseLeave={() => setHover(null)}>
              <rect
                x={x(s.start_min) + 0.5}
                y={inset.top + (who - 1) * row + 4}
                width={Math.max(2, x(s.end_min) - x(s.start_min) - 1)}
                height={row - 10}
                fill={fills[kind]}
                opacity={hover === null || hover === s.id ? 1 : 0.45}
              />
              {x(s.end_min) - x(s.start_min) > 22 && (
                <text
                  x={(x(s.start_min) + x(s.end_min)) / 2}
                  y={inset.top + (who - 1) * row + 26}
                  textAnchor="middle"
                  fontSize="12"
                  fontFamily="'IBM Plex Mono'"
                  fill="var(--chakra-colors-card)"
                >
                  {tasks.findIndex((t) => t.id === s.id) + 1}
                </text>
              )}
            </g>
          );
        }),
      )}
    </>
  );
}

/** Where the clock stands, and where what is allowed ends. */
function ClockMarks({
  plan,
  x,
  height,
  now_min,
  allowed_min,
}: Drawn & { now_min: number | null; allowed_min: number | null }) {
  const end_min = allowed_min === null ? null : plan.stopsAt_min + allowed_min;
  const close = now_min !== null && end_min !== null && Math.abs(x(now_min) - x(end_min)) < labelWidth;
  return (
    <>
      {(
        [
          ['now', now_min, 'var(--chakra-colors-ink)'],
          ['allowed', end_min, 'var(--chakra-colors-failed)'],
        ] as const
      ).map(([name, at, colour]) =>
        at === null || x(at) > width - inset.right + 1 ? null : (
          <g key={name}>
            <line
              x1={x(at)}
              x2={x(at)}
              y1={labelLines.lower + 4}
              y2={height - inset.bottom + 4}
              stroke={colour}
              strokeWidth="2.5"
              strokeDasharray={name === 'now' ? undefined : '5 4'}
            />
            <text
              x={Math.min(x(at), width - labelWidth / 2)}
              y={close && name === 'now' ? labelLines.upper : labelLines.lower}
              textAnchor="middle"
              fontSize="12"
              fill={colour}
            >
              {name}
            </text>
          </g>
        ),
      )}
    </>
  );
}

/** Minutes along the foot. */
function MinuteAxis({ x, height }: Pick<Drawn, 'x' | 'height'>) {
  return (
    <>
      {x.ticks(8).map((t) => (
        <g key={t} style={{ fontFamily: "'IBM Plex Mono'" }}>
          <line
            x1={x(t)}
            x2={x(t)}
            y1={height - inset.bottom + 2}
            y2={height - inset.bottom + 7}
            stroke="var(--chakra-colors-ink)"
          />
          <text x={x(t)} y={height - 27} textAnchor="middle" fontSize="11.5" fill="var(--chakra-colors-soft)">
            {t}
          </text>
        </g>
      ))}
      <text
        x={inset.left - 8}
        y={height - 27}
        textAnchor="end"
        fontSize="11.5"
        fill="var(--chakra-colors-soft)"
      >
        minutes
      </text>
    </>
  );
}

/** Who does what when, a lane for each person; the stop is the framed window. */
export function StopChart({
  plan,
  tasks,
  people,
  now_min = null,
  allowed_min = null,
}: {
  plan: DrawnPlan;
  tasks: readonly NamedTask[];
  people: number;
  /** Of a stop that is under way: where its clock stands. */
  now_min?: number | null;
  /** The end of what is allowed, from the beginning of the stop. */
  allowed_min?: number | null;
}) {
  const [hover, setHover] = useState<string | null>(null);
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const x = scaleLinear([0, Math.max(10, plan.total_min)], [inset.left, width - inset.right]);
  const height = inset.top + people * row + inset.bottom;
  // A window near the right edge is named from its end, or its name would leave the frame.
  const late = x(plan.stopsAt_min) > width * 0.7;
  const shown = plan.schedule.find((s) => s.id === hover);
  return (
    <Box as="figure">
      <Box overflowX="auto" tabIndex={0} role="group" aria-label="Outage timetable">
        <svg
          viewBox={`0 0 ${width} ${height}`}
          style={{ width: '100%', minWidth: 540, display: 'block' }}
          aria-hidden
        >
          <rect
            x={x(plan.stopsAt_min)}
            y={inset.top - 4}
            width={Math.max(0, x(plan.stopsAt_min + plan.stop_min) - x(plan.stopsAt_min))}
            height={people * row + 8}
            fill="var(--chakra-colors-doubt-wash)"
            stroke="var(--chakra-colors-doubt)"
            strokeWidth="1.5"
          />
          <text
            x={late ? x(plan.stopsAt_min + plan.stop_min) : x(plan.stopsAt_min)}
            y={height - 8}
            textAnchor={late ? 'end' : 'start'}
            fontSize="12"
            fill="var(--chakra-colors-ink)"
          >
            machine stopped, {Math.round(plan.stop_min)} min
          </text>
          {Array.from({ length: people }, (_, i) => (
            <text
              key={i}
              x={inset.left - 8}
              y={inset.top + i * row + 26}
              textAnchor="end"
              fontSize="12.5"
              fill="var(--chakra-colors-ink)"
            >
              person {i + 1}
            </text>
          ))}
          <TaskBars plan={plan} x={x} tasks={tasks} hover={hover} setHover={setHover} />
          <ClockMarks plan={plan} x={x} height={height} now_min={now_min} allowed_min={allowed_min} />
          <MinuteAxis x={x} height={height} />
        </svg>
      </Box>
      <Box as="figcaption" fontSize="0.95rem">
        <Box display="flex" flexWrap="wrap" columnGap="4" mb="1">
          {(['isolated', 'stop', 'free'] as const).map((kind) => (
            <Box key={kind} display="inline-flex" alignItems="center" gap="1.5">
              <Box as="span" width="14px" height="14px" style={{ background: fills[kind] }} />
              {kindWords[kind]}
            </Box>
          ))}
          <Box as="span" color="soft">
            numbers as in the list below
          </Box>
        </Box>
        <Box minH="1.5em">
          {shown !== undefined &&
            `${byId.get(shown.id)?.name ?? ''}: minute ${shown.start_min} to ${shown.end_min}, person ${shown.people.join(' and ')}`}
        </Box>
      </Box>
      <Disclosure label="as a table">
        <PlainTable heads={['Task', 'From', 'To', 'Who', 'Machine']}>
          {plan.schedule.map((s) => (
            <tr key={s.id}>
              <Cell>{byId.get(s.id)?.name}</Cell>
              <Cell>{s.start_min}</Cell>
              <Cell>{s.end_min}</Cell>
              <Cell>{s.people.join(', ')}</Cell>
              <Cell>{kindWords[kindOf(byId.get(s.id))]}</Cell>
            </tr>
          ))}
        </PlainTable>
      </Disclosure>
    </Box>
  );
}
