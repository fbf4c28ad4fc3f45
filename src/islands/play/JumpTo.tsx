import { useState } from 'react';
import styles from './strips.module.css';

/** What to type, for whoever has no strip at hand. */
export const whatStrip = 'The number stands at the top right of a table card, as in 37-2-1: session, round, table.';

/** The number on a strip, typed in, goes to its line. */
export function JumpTo({ onJump }: { onJump: (typed: string) => boolean }) {
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState(false);
  return (
    <form
      className={styles.jump}
      onSubmit={(e) => {
        e.preventDefault();
        const found = onJump(typed);
        setWrong(!found);
        if (found) setTyped('');
      }}
    >
      <label>
        Strip{' '}
        <input
          value={typed}
          size={8}
          placeholder="37-2-1"
          aria-invalid={wrong}
          aria-describedby={wrong ? 'no-strip' : undefined}
          onChange={(e) => {
            setTyped(e.target.value);
            setWrong(false);
          }}
        />
      </label>
      {wrong && (
        <span id="no-strip" role="alert" className={styles.wrong}>
          No such strip. {whatStrip}
        </span>
      )}
    </form>
  );
}
