import styles from './charts.module.css';

export interface ObservedCell {
  readonly x: number;
  readonly y: number;
  readonly state: 'missed' | 'seen' | 'secure';
  readonly text: string;
}

const pitch = 15;
const margin = 34;

/** Facts that were observed: a full dot is secure, a ring was seen, a cross was missed. Shape first, colour second. */
export function ObservedGrid({
  cells,
  hue,
  label,
  axes,
  most,
}: {
  cells: readonly ObservedCell[];
  hue: string;
  label: string;
  axes: readonly [string, string];
  most: number;
}) {
  const size = margin + (most + 1) * pitch;
  const end = size - margin;
  const at = (n: number): number => margin + n * pitch + pitch / 2;
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      width={size}
      className={styles.observed}
      role="img"
      aria-label={`${label}: ${cells.map((c) => `${c.text}, ${c.state}`).join('; ')}`}
    >
      {Array.from({ length: most + 1 }, (_, n) => (
        <g key={n} className={styles.observedAxis}>
          <path d={`M${margin + n * pitch} 0V${end}M${margin} ${end - (n + 1) * pitch}H${size}`} />
          <text x={at(n)} y={end + 13} textAnchor="middle">
            {n % 2 === 0 ? n : ''}
          </text>
          <text x={margin - 9} y={end - n * pitch - pitch / 2 + 4} textAnchor="middle">
            {n % 2 === 0 ? n : ''}
          </text>
        </g>
      ))}
      <path d={`M${margin} 0V${end}H${size}`} className={styles.observedFrame} />
      <text x={margin + (size - margin) / 2} y={size - 4} textAnchor="middle" className={styles.observedName}>
        {axes[0]}
      </text>
      <text transform={`translate(12 ${end / 2}) rotate(-90)`} textAnchor="middle" className={styles.observedName}>
        {axes[1]}
      </text>
      {cells.map((c) => {
        const cx = at(c.x);
        const cy = end - c.y * pitch - pitch / 2;
        return (
          <g key={`${c.x}|${c.y}`}>
            <title>{c.text}</title>
            {c.state === 'missed' ? (
              <path d={`M${cx - 5} ${cy - 5}l10 10M${cx + 5} ${cy - 5}l-10 10`} className={styles.observedMissed} />
            ) : (
              <circle cx={cx} cy={cy} r={5} fill={c.state === 'secure' ? hue : 'none'} stroke={hue} strokeWidth={2} />
            )}
          </g>
        );
      })}
    </svg>
  );
}
