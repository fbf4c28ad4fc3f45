import { scaleLinear, scaleTime } from 'd3-scale';
import { curveStepAfter, line } from 'd3-shape';
import { heldAt } from '../../core/mastery/parameters';
import styles from './charts.module.css';

export interface HistoryPoint {
  /** Moment, ISO 8601. */
  readonly at: string;
  readonly height: number;
}

const width = 300;
const height = 84;
const pad = { left: 8, right: 8, top: 8, bottom: 16 };

/** How an estimate moved from note to note. */
export function HistoryLine({ points, title }: { points: readonly HistoryPoint[]; title: string }) {
  if (points.length < 2) return null;
  const times = points.map((p) => new Date(p.at).getTime());
  const x = scaleTime()
    .domain([new Date(Math.min(...times)), new Date(Math.max(...times))])
    .range([pad.left, width - pad.right]);
  const y = scaleLinear()
    .domain([0, 1])
    .range([height - pad.bottom, pad.top]);
  const path = line<HistoryPoint>()
    .x((p) => x(new Date(p.at)))
    .y((p) => y(p.height))
    .curve(curveStepAfter)([...points]);
  const day = (p: HistoryPoint): string => p.at.slice(5, 10);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={styles.history}
      role="img"
      aria-label={`${title}: ${points.map((p) => `${p.at.slice(0, 10)} ${p.height.toFixed(2)}`).join(', ')}`}
    >
      {[0, heldAt].map((v) => (
        <path
          key={v}
          d={`M${pad.left} ${y(v)}H${width - pad.right}`}
          className={styles.historyAxis}
          strokeDasharray={v === 0 ? '' : '3 3'}
        />
      ))}
      <path d={path ?? ''} className={styles.historyLine} />
      {points.map((p, i) => (
        <circle key={i} cx={x(new Date(p.at))} cy={y(p.height)} r={3} className={styles.historyDot} />
      ))}
      <text x={pad.left} y={height - 3}>
        {day(points[0]!)}
      </text>
      <text x={width - pad.right} y={height - 3} textAnchor="end">
        {day(points.at(-1)!)}
      </text>
    </svg>
  );
}
