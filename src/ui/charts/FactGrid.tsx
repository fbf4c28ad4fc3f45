import { max } from 'd3-array';
import { scaleSqrt } from 'd3-scale';
import styles from './charts.module.css';

export interface FactCell {
  readonly a: number;
  readonly b: number;
  readonly count: number;
  /** Crosses a ten, and so needs another strategy. */
  readonly crossing: boolean;
}

const width = 420;
const foot = 22;
const leftEdge = 24;
const mostHeight = 230;

/** Every fact met, first number across and second upward; the darker, the more often. */
export function FactGrid({ cells, sign }: { cells: readonly FactCell[]; sign: string }) {
  if (cells.length === 0) return null;
  const lastA = max(cells, (c) => c.a) ?? 10;
  const firstA = Math.min(...cells.map((c) => c.a));
  const lastB = max(cells, (c) => c.b) ?? 10;
  const firstB = Math.min(...cells.map((c) => c.b));
  const w = (width - leftEdge) / (lastA - firstA + 1);
  const h = Math.min(w * 1.4, mostHeight / (lastB - firstB + 1), 24);
  const height = h * (lastB - firstB + 1) + foot;
  const strength = scaleSqrt()
    .domain([0, max(cells, (c) => c.count) ?? 1])
    .range([0.08, 1]);
  const stepA = lastA - firstA > 24 ? 10 : lastA - firstA > 12 ? 2 : 1;
  const stepB = lastB - firstB > 12 ? 2 : 1;
  const gap = w > 8 ? 1 : 0.4;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={styles.chart}
      role="img"
      aria-label={`${cells.length} different facts a ${sign} b met`}
    >
      {cells.map((c) => (
        <rect
          key={`${c.a}|${c.b}`}
          x={leftEdge + (c.a - firstA) * w}
          y={(lastB - c.b) * h}
          width={Math.max(0.8, w - gap)}
          height={Math.max(0.8, h - gap)}
          fill={c.crossing ? 'var(--strand-indigo)' : 'var(--strand-teal)'}
          fillOpacity={strength(c.count)}
        >
          <title>{`${c.a} ${sign} ${c.b}: ${c.count} times`}</title>
        </rect>
      ))}
      {Array.from({ length: lastA - firstA + 1 }, (_, i) => firstA + i)
        .filter((a) => a % stepA === 0)
        .map((a) => (
          <text key={a} x={leftEdge + (a - firstA + 0.5) * w} y={height - 7} className={styles.tick} textAnchor="middle">
            {a}
          </text>
        ))}
      {Array.from({ length: lastB - firstB + 1 }, (_, i) => firstB + i)
        .filter((b) => b % stepB === 0 && h * stepB > 9)
        .map((b) => (
          <text key={b} x={leftEdge - 5} y={(lastB - b + 0.5) * h + 3.5} className={styles.tick} textAnchor="end">
            {b}
          </text>
        ))}
    </svg>
  );
}
