import { max, sum } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX } from 'd3-shape';
import styles from './charts.module.css';

const width = 420;
const height = 170;
const foot = 24;
const top = 26;

/** How long games last: share of games by minute, with the round as a line. */
export function LengthChart({ histogram, slot }: { histogram: readonly number[]; slot: number }) {
  const games = sum(histogram);
  const last = Math.max(histogram.length, slot + 2);
  const shares = Array.from({ length: last + 1 }, (_, i) => (histogram[i] ?? 0) / games);
  const x = scaleLinear()
    .domain([0, last])
    .range([4, width - 4]);
  const y = scaleLinear()
    .domain([0, max(shares) ?? 1])
    .range([height - foot, top]);
  const shape = area<number>()
    .x((_, i) => x(i + 0.5))
    .y0(height - foot)
    .y1((d) => y(d))
    .curve(curveMonotoneX);
  const path = shape(shares) ?? '';
  const every = last > 60 ? 20 : last > 30 ? 10 : 5;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={styles.chart}
      role="img"
      aria-label={`Length of ${games} simulated games in minutes`}
    >
      <clipPath id="in-slot">
        <rect x="0" y="0" width={x(slot)} height={height} />
      </clipPath>
      <path d={path} className={styles.late} />
      <path d={path} className={styles.inTime} clipPath="url(#in-slot)" />
      <path d={`M4 ${height - foot}H${width - 4}`} className={styles.axis} />
      {Array.from({ length: Math.floor(last / every) + 1 }, (_, i) => i * every).map((m) => (
        <text key={m} x={x(m)} y={height - 8} className={styles.tick} textAnchor="middle">
          {m}
        </text>
      ))}
      <path d={`M${x(slot)} ${top - 6}V${height - foot}`} className={styles.slot} />
      <text
        x={x(slot) + (slot > last * 0.6 ? -6 : 6)}
        y={top - 10}
        className={styles.slotText}
        textAnchor={slot > last * 0.6 ? 'end' : 'start'}
      >
        {slot} min round
      </text>
    </svg>
  );
}
