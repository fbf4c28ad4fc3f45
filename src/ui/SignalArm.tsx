import { heldAt } from '../core/mastery/parameters';
import styles from './signal.module.css';

const flatDegrees = 8;
const uprightDegrees = 88;

/** Angle of the arm above the line, in degrees: flat = not yet, upright = on their own. */
export function armAngle(mastery: number): number {
  return flatDegrees + (uprightDegrees - flatDegrees) * Math.min(1, mastery / heldAt);
}

function tip(angle: number, length: number): [number, number] {
  const radians = (angle * Math.PI) / 180;
  return [Math.cos(radians) * length, -Math.sin(radians) * length];
}

/** One skill as a small signal: shape first, colour second; hollow when nobody has seen it; a faint arc for how sure it is. */
export function SignalArm({
  x,
  y,
  size = 1,
  mastery,
  seen,
  interval,
  hue,
  glow = false,
}: {
  x: number;
  y: number;
  size?: number;
  mastery: number;
  seen: boolean;
  interval: readonly [number, number] | null;
  hue: string;
  glow?: boolean;
}) {
  const length = 21 * size;
  const half = 3.1 * size;
  const angle = armAngle(mastery);
  const arc =
    interval && Math.abs(armAngle(interval[1]) - armAngle(interval[0])) > 2
      ? { from: tip(armAngle(interval[0]), length + 4 * size), to: tip(armAngle(interval[1]), length + 4 * size) }
      : null;
  return (
    <g transform={`translate(${x} ${y})`}>
      {glow && <circle r={17 * size} className={styles.glow} />}
      {arc && (
        <path
          d={`M${arc.from[0]} ${arc.from[1]}A${length + 4 * size} ${length + 4 * size} 0 0 0 ${arc.to[0]} ${arc.to[1]}`}
          className={styles.arc}
          stroke={hue}
        />
      )}
      <g transform={`rotate(${-angle})`}>
        <path
          d={`M0 ${-half * 0.55}L${length} ${-half}V${half}L0 ${half * 0.55}Z`}
          fill={seen ? hue : 'var(--sheet)'}
          stroke={hue}
          strokeWidth={seen ? 0.8 * size : 1.3 * size}
        />
      </g>
      <circle r={4.4 * size} className={styles.pivot} stroke={hue} strokeWidth={2 * size} />
    </g>
  );
}
