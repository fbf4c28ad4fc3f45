import { scaleLinear } from 'd3-scale';
import styles from './charts.module.css';

export interface Share {
  readonly title: string;
  readonly share: number;
  readonly error: number | null;
  readonly fill: string;
}

const width = 420;

/** Parts of a whole on one line, each named below with its error. */
export function ShareBar({ shares, label }: { shares: readonly Share[]; label: string }) {
  const x = scaleLinear().domain([0, 1]).range([0, width]);
  let at = 0;
  const shown = shares.filter((s) => s.share > 0.0005);
  return (
    <figure className={styles.shares}>
      <svg
        viewBox={`0 0 ${width} 30`}
        className={styles.chart}
        role="img"
        aria-label={`${label}: ${shown.map((s) => `${s.title} ${Math.round(s.share * 100)} percent`).join(', ')}`}
      >
        {shown.map((s) => {
          const from = x(at);
          at += s.share;
          return <rect key={s.title} x={from} y={2} width={Math.max(0.5, x(s.share) - 1)} height={26} fill={s.fill} />;
        })}
      </svg>
      <figcaption>
        {shown.map((s) => (
          <span key={s.title}>
            <svg width="11" height="11" aria-hidden="true">
              <rect width="11" height="11" fill={s.fill} />
            </svg>
            {s.title} <b>{(s.share * 100).toFixed(s.share < 0.1 ? 1 : 0)} %</b>
            {s.error !== null && <i> ± {(s.error * 100).toFixed(1)}</i>}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
