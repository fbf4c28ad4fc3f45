import { scaleLinear } from 'd3-scale';
import styles from './charts.module.css';

export interface DosePair {
  readonly id: string;
  readonly title: string;
  readonly hue: string;
  readonly before: number;
  readonly after: number;
}

const rowHeight = 54;
const width = 420;

/** Two doses a skill: an outline for the first version, filled for the second. */
export function DosePairs({ pairs, names }: { pairs: readonly DosePair[]; names: readonly [string, string] }) {
  const most = Math.max(1, ...pairs.flatMap((p) => [p.before, p.after]));
  const x = scaleLinear()
    .domain([0, most])
    .range([0, width - 60]);
  const words = (n: number): string => (n >= 10 ? String(Math.round(n)) : n.toFixed(1));
  return (
    <svg
      viewBox={`0 0 ${width} ${Math.max(1, pairs.length) * rowHeight}`}
      className={styles.chart}
      role="img"
      aria-label={`${names[0]} against ${names[1]}, chances for each child in ten minutes: ${pairs.map((p) => `${p.title} ${words(p.before)} and ${words(p.after)}`).join(', ')}`}
    >
      {pairs.map((p, i) => {
        const y = i * rowHeight;
        return (
          <g key={p.id}>
            <text x={0} y={y + 12} className={styles.label}>
              {p.title}
            </text>
            <rect
              x={0.75}
              y={y + 17.5}
              width={Math.max(0, x(p.before))}
              height={9}
              fill="none"
              stroke={`var(--strand-${p.hue})`}
              strokeWidth={1.5}
              strokeDasharray="4 2"
            />
            <text x={x(p.before) + 6} y={y + 26} className={styles.tick}>
              {words(p.before)}
            </text>
            <rect x={0} y={y + 32} width={x(p.after)} height={11} fill={`var(--strand-${p.hue})`} />
            <text x={x(p.after) + 6} y={y + 43} className={styles.value}>
              {words(p.after)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
