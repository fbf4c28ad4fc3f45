import { useEffect, useState } from 'react';
import styles from './play.module.css';

/** The round's clock, facing the helper; it starts when tapped and never hurries a child. */
export function RoundTimer({ title, where, minutes, onBack }: { title: string; where: string; minutes: number; onBack: () => void }) {
  const [left, setLeft] = useState(minutes * 60);
  const [endsAt, setEndsAt] = useState<number | null>(null);
  useEffect(() => {
    if (endsAt === null) return;
    const tick = setInterval(() => setLeft(Math.max(0, Math.round((endsAt - performance.now()) / 1000))), 500);
    return () => clearInterval(tick);
  }, [endsAt]);
  const running = endsAt !== null;
  const share = 1 - left / (minutes * 60);
  return (
    <header className={styles.clock}>
      <div className={styles.clockRow}>
        <button type="button" onClick={onBack} className={styles.back} aria-label="Back to all tables">
          ‹ tables
        </button>
        <span>{where}</span>
        <button
          type="button"
          className={styles.time}
          aria-label={running ? 'Pause the clock' : 'Start the clock'}
          onClick={() => setEndsAt(running ? null : performance.now() + left * 1000)}
        >
          {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
          <small>{running ? 'left' : 'start'}</small>
        </button>
      </div>
      <h1>{title}</h1>
      <svg viewBox="0 0 100 3" preserveAspectRatio="none" className={styles.bar} aria-hidden="true">
        <rect width="100" height="3" className={styles.barBack} />
        <rect width={100 * share} height="3" className={styles.barFront} />
      </svg>
    </header>
  );
}
