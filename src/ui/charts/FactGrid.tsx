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

/**
 * Every fact met, first number across and second upward; the darker, the more often.
 * With `by` a cell holds so many first and second numbers, from the one it names on.
 */
export function FactGrid({
  cells,
  sign,
  facts = cells.length,
  by = [1, 1],
}: {
  cells: readonly FactCell[];
  sign: string;
  facts?: number;
  by?: readonly [number, number];
}) {
  if (cells.length === 0) return null;
  const lastA = max(cells, (c) => c.a) ?? 10;
  const firstA = Math.min(...cells.map((c) => c.a));
  const lastB = max(cells, (c) => c.b) ?? 10;
  const firstB = Math.min(...cells.map((c) => c.b));
  const [columns, rows] = [(lastA - firstA) / by[0] + 1, (lastB - firstB) / by[1] + 1];
  const w = (width - leftEdge) / columns;
  const h = Math.min(w * 1.4, mostHeight / rows, 24);
  const height = h * rows + foot;
  const strength = scaleSqrt()
    .domain([0, max(cells, (c) => c.count) ?? 1])
    .range([0.08, 1]);
  const stepA = by[0] * (columns > 25 ? 10 : columns > 13 ? 2 : 1);
  const stepB = by[1] * (rows > 13 ? 2 : 1);
  const named = (n: number, of: number): string => (of === 1 ? String(n) : `${n}–${n + of - 1}`);
  const gap = w > 8 ? 1 : 0.4;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className={styles.chart} role="img" aria-label={`${facts} different facts a ${sign} b met`}>
      {cells.map((c) => (
        <rect
          key={`${c.a}|${c.b}`}
          x={leftEdge + ((c.a - firstA) / by[0]) * w}
          y={((lastB - c.b) / by[1]) * h}
          width={Math.max(0.8, w - gap)}
          height={Math.max(0.8, h - gap)}
          fill={c.crossing ? 'var(--strand-indigo)' : 'var(--strand-teal)'}
          fillOpacity={strength(c.count)}
        >
          <title>{`${named(c.a, by[0])} ${sign} ${named(c.b, by[1])}: ${c.count} times`}</title>
        </rect>
      ))}
      {Array.from({ length: columns }, (_, i) => firstA + i * by[0])
        .filter((a) => a % stepA === 0)
        .map((a) => (
          <text key={a} x={leftEdge + ((a - firstA) / by[0] + 0.5) * w} y={height - 7} className={styles.tick} textAnchor="middle">
            {a}
          </text>
        ))}
      {Array.from({ length: rows }, (_, i) => firstB + i * by[1])
        .filter((b) => b % stepB === 0 && (h * stepB) / by[1] > 9)
        .map((b) => (
          <text key={b} x={leftEdge - 5} y={((lastB - b) / by[1] + 0.5) * h + 3.5} className={styles.tick} textAnchor="end">
            {b}
          </text>
        ))}
    </svg>
  );
}
