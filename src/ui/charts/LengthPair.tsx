import { sum } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import styles from './charts.module.css';

const width = 420;
const height = 150;
const foot = 24;

/** Lengths of two versions on one clock: dashed the first, solid the second. */
export function LengthPair({
  before,
  after,
  slot,
  names,
}: {
  before: readonly number[];
  after: readonly number[];
  slot: number;
  names: readonly [string, string];
}) {
  const last = Math.max(before.length, after.length, slot + 2);
  const shares = (h: readonly number[]): number[] => Array.from({ length: last + 1 }, (_, i) => (h[i] ?? 0) / (sum(h) || 1));
  const [a, b] = [shares(before), shares(after)];
  const x = scaleLinear()
    .domain([0, last])
    .range([4, width - 4]);
  const y = scaleLinear()
    .domain([0, Math.max(...a, ...b, 0.01)])
    .range([height - foot, 14]);
  const path = line<number>()
    .x((_, i) => x(i + 0.5))
    .y((d) => y(d))
    .curve(curveMonotoneX);
  const every = last > 60 ? 20 : last > 30 ? 10 : 5;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={styles.chart}
      role="img"
      aria-label={`Minutes a game: ${names[0]} dashed, ${names[1]} solid`}
    >
      <path d={`M4 ${height - foot}H${width - 4}`} className={styles.axis} />
      <path d={`M${x(slot)} 8V${height - foot}`} className={styles.slot} />
      <path d={path(a) ?? ''} fill="none" stroke="var(--soft)" strokeWidth={2} strokeDasharray="5 3" />
      <path d={path(b) ?? ''} fill="none" stroke="var(--teal)" strokeWidth={3} />
      {Array.from({ length: Math.floor(last / every) + 1 }, (_, i) => i * every).map((m) => (
        <text key={m} x={x(m)} y={height - 8} className={styles.tick} textAnchor="middle">
          {m}
        </text>
      ))}
    </svg>
  );
}
