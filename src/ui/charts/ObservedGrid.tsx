import styles from './charts.module.css';

export interface ObservedCell {
  readonly x: number;
  readonly y: number;
  readonly state: 'missed' | 'seen' | 'secure';
  readonly text: string;
}

const pitch = 17;
const margin = 20;

/** Facts that were observed: a full dot is secure, a ring was seen, a cross was missed. Shape first, colour second. */
export function ObservedGrid({ cells, hue, label }: { cells: readonly ObservedCell[]; hue: string; label: string }) {
  const most = Math.max(5, ...cells.map((c) => Math.max(c.x, c.y)));
  const size = margin + (most + 1) * pitch;
  const at = (n: number): number => margin + n * pitch + pitch / 2;
  return (
    <svg viewBox={`0 0 ${size} ${size}`} width={size} className={styles.observed} role="img" aria-label={`${label}: ${cells.map((c) => `${c.text}, ${c.state}`).join('; ')}`}>
      {Array.from({ length: most + 1 }, (_, n) => (
        <g key={n} className={styles.observedAxis}>
          <text x={at(n)} y={size - 4} textAnchor="middle">
            {n % 2 === 0 ? n : ''}
          </text>
          <text x={10} y={size - margin - n * pitch - pitch / 2 + 4} textAnchor="middle">
            {n % 2 === 0 ? n : ''}
          </text>
        </g>
      ))}
      {cells.map((c) => {
        const cx = at(c.x);
        const cy = size - margin - c.y * pitch - pitch / 2;
        return (
          <g key={`${c.x}|${c.y}`}>
            <title>{c.text}</title>
            {c.state === 'missed' ? <path d={`M${cx - 5} ${cy - 5}l10 10M${cx + 5} ${cy - 5}l-10 10`} className={styles.observedMissed} /> : <circle cx={cx} cy={cy} r={5.5} fill={c.state === 'secure' ? hue : 'none'} stroke={hue} strokeWidth={2} />}
          </g>
        );
      })}
    </svg>
  );
}
