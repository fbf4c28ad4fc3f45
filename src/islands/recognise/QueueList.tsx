import { useEffect, useRef } from 'react';
import styles from './recognise.module.css';
import type { Entry, Mark } from './useQueue';

const words: Readonly<Record<Mark, string>> = { 'to-do': 'to do', done: 'answered', later: 'later', 'no-game': 'not a game' };

/** All rows with what became of each; the one that is asked stands out and stays in view. */
export function QueueList({ entries, at, onChoose }: { entries: readonly Entry[]; at: number; onChoose: (id: string) => void }) {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current="step"]')?.scrollIntoView?.({ block: 'nearest' });
  }, [at]);
  return (
    <nav className={styles.queue} aria-label="Rows">
      <p className={styles.about}>{entries.length} rows, sure ones first</p>
      <ol ref={list} tabIndex={0} aria-label="Rows in order">
        {entries.map(({ row, mark }, i) => (
          <li key={row.variant}>
            <button type="button" {...(i === at ? { 'aria-current': 'step' as const } : {})} onClick={() => onChoose(row.variant)}>
              <span className={styles.mark} data-mark={mark} aria-hidden />
              <span>{row.title}</span>
              <span className={styles.said}>{words[mark]}</span>
            </button>
          </li>
        ))}
      </ol>
      <p className={styles.legend} aria-hidden>
        {(['done', 'later', 'to-do'] as const).map((m) => (
          <span key={m}>
            <span className={styles.mark} data-mark={m} /> {words[m]}
          </span>
        ))}
      </p>
    </nav>
  );
}
