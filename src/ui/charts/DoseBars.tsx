import { scaleLinear } from 'd3-scale';
import styles from './charts.module.css';

export interface DoseBar {
  readonly id: string;
  readonly title: string;
  readonly hue: string;
  readonly value: number;
  readonly error: number | null;
}

const rowHeight = 40;
const width = 420;

/** Chances per learner in ten minutes, a bar a skill; whiskers show ± one standard error. */
export function DoseBars({ bars, declared }: { bars: readonly DoseBar[]; declared: boolean }) {
  const most = Math.max(1, ...bars.map((b) => b.value + (b.error ?? 0)));
  const x = scaleLinear()
    .domain([0, most])
    .range([0, width - 70]);
  return (
    <svg
      viewBox={`0 0 ${width} ${bars.length * rowHeight}`}
      className={styles.chart}
      role="img"
      aria-label={`Practice per learner in ten minutes: ${bars.map((b) => `${b.title} ${b.value.toFixed(1)}`).join(', ')}`}
    >
      {bars.map((b, i) => {
        const y = i * rowHeight;
        return (
          <g key={b.id}>
            <text x={0} y={y + 13} className={styles.label}>
              {b.title}
            </text>
            <rect
              x={0}
              y={y + 18}
              width={x(b.value)}
              height={13}
              fill={`var(--strand-${b.hue})`}
              fillOpacity={declared ? 0.3 : 1}
              stroke={declared ? `var(--strand-${b.hue})` : 'none'}
            />
            {b.error !== null && (
              <path
                d={`M${x(Math.max(0, b.value - b.error))} ${y + 24.5}H${x(b.value + b.error)}m0 -4v8M${x(Math.max(0, b.value - b.error))} ${y + 20.5}v8`}
                className={styles.whisker}
              />
            )}
            <text x={x(b.value + (b.error ?? 0)) + 8} y={y + 30} className={styles.value}>
              {b.value >= 10 ? Math.round(b.value) : b.value.toFixed(1)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
