import styles from './things.module.css';

export type Mark = 'number' | 'plenty' | 'unsure' | 'none' | 'incomplete';

export const markWords: Readonly<Record<Mark, string>> = {
  number: 'a number',
  plenty: 'plenty',
  unsure: 'not sure',
  none: 'none',
  incomplete: 'incomplete',
};

/** Five states by shape: full square, heap, dashed square with a question, outlined square, turned square. The words stand beside. */
export function StateMark({ state, large = false }: { state: Mark; large?: boolean }) {
  const size = large ? 34 : 12;
  return (
    <svg viewBox="0 0 12 12" width={size} height={size} aria-hidden="true" className={styles.mark}>
      {state === 'number' && <rect x="1.5" y="1.5" width="9" height="9" className={styles.markThere} />}
      {state === 'plenty' && <path d="M5 1.6h2M3.6 4.2h4.8M2.2 6.8h7.6M.8 9.4h10.4" className={styles.markHeap} />}
      {state === 'unsure' && (
        <>
          <rect x="1.2" y="1.2" width="9.6" height="9.6" className={styles.markUnsure} />
          {large && (
            <text x="6" y="8.6" textAnchor="middle" className={styles.markAsk}>
              ?
            </text>
          )}
        </>
      )}
      {state === 'none' && <rect x="1.7" y="1.7" width="8.6" height="8.6" className={styles.markNone} />}
      {state === 'incomplete' && <path d="M6 .7 11.3 6 6 11.3.7 6Z" className={styles.markIncomplete} />}
    </svg>
  );
}
