import styles from './ui.module.css';

/** Material light: square = there, dashed = nobody counted, turned square = short, outlined = missing; never by colour alone. */
export function Light({ state }: { state: 'there' | 'short' | 'missing' | 'unsure' }) {
  const words = { there: 'there', short: 'short', missing: 'missing', unsure: 'not counted' }[state];
  return (
    <svg className={styles.light} viewBox="0 0 12 12" width="12" height="12" role="img" aria-label={words}>
      {state === 'there' && <rect x="1.5" y="1.5" width="9" height="9" className={styles.lightThere} />}
      {state === 'short' && <path d="M6 .5 11.5 6 6 11.5.5 6Z" className={styles.lightShort} />}
      {state === 'unsure' && <rect x="1.5" y="1.5" width="9" height="9" className={styles.lightUnsure} />}
      {state === 'missing' && <rect x="2" y="2" width="8" height="8" className={styles.lightMissing} />}
    </svg>
  );
}
