import type { CoveredWire } from '../../contract/wire/coverage';
import styles from './coverage.module.css';

export const stateWords: Readonly<Record<CoveredWire['state'], string>> = {
  none: 'no game',
  there: 'a game is there',
  planned: 'planned',
  played: 'played',
  seen: 'played, and somebody noted',
};

/** Marks fill up as more is true; only what has no game is round, and red only where somebody waits for it. */
export function StandardMark({ state, waited }: { state: CoveredWire['state']; waited: boolean }) {
  return (
    <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true">
      {state === 'none' && <circle cx="7" cy="7" r="5" className={waited ? styles.hole : styles.quietHole} />}
      {state !== 'none' && <rect x="1.5" y="1.5" width="11" height="11" className={styles.box} />}
      {state === 'planned' && <path d="M1.5 12.5h11v-11z" className={styles.full} />}
      {(state === 'played' || state === 'seen') && <rect x="1.5" y="1.5" width="11" height="11" className={styles.full} />}
      {state === 'seen' && <circle cx="7" cy="7" r="2.4" className={styles.lamp} />}
    </svg>
  );
}
