import { useEffect, useRef, useState } from 'react';
import type { GameWire } from '../../contract/wire/shelf';
import { Button } from '../../ui/Button';
import panel from '../shared/panel.module.css';
import type { Found } from './progress';
import styles from './stocktake.module.css';

export interface GameAnswer {
  readonly patch: { condition?: string; bin?: string };
  /** Put away until next year. */
  readonly away: boolean;
  readonly found: readonly Found[];
}

const states = { here: 'here', missing: 'not here', worn: 'worn', gone: 'incomplete', bin: 'wrong bin', next: 'next year’s' } as const;
type State = keyof typeof states;

/** One game of a bin: is it there, whole, and where it belongs? */
export function LookAtGame({
  game,
  drawers,
  next,
  onAnswer,
}: {
  game: GameWire;
  drawers: readonly string[];
  next: string | null;
  onAnswer: (answer: GameAnswer) => void;
}) {
  const section = useRef<HTMLElement>(null);
  useEffect(() => section.current?.focus(), []);
  const [state, setState] = useState<State>('here');
  const [gone, setGone] = useState('');
  const [moved, setMoved] = useState('');
  const answer = (make: boolean): void => {
    const what = gone.trim() || 'incomplete';
    const { title } = game;
    onAnswer({
      patch: {
        ...(state === 'missing' ? { condition: 'not found in its bin' } : {}),
        ...(state === 'worn' ? { condition: 'worn' } : {}),
        ...(state === 'gone' ? { condition: make ? `${what}: to be made` : what } : {}),
        // What was wrong once and is well again is said no more.
        ...(state === 'here' && game.condition !== '' ? { condition: '' } : {}),
        ...(state === 'bin' && moved !== '' ? { bin: moved } : {}),
      },
      away: state === 'next',
      found: [
        ...(state === 'missing' ? [{ what: 'buy' as const, title, words: 'not found in its bin' }] : []),
        ...(state === 'worn' ? [{ what: 'mend' as const, title, words: 'worn' }] : []),
        ...(state === 'gone' && make ? [{ what: 'print' as const, title, words: what }] : []),
        ...(state === 'bin' && moved !== '' ? [{ what: 'moved' as const, title, words: `to ${moved}` }] : []),
        ...(state === 'next' ? [{ what: 'away' as const, title, words: 'put away until next year' }] : []),
      ],
    });
  };
  return (
    <section className={styles.one} aria-label={game.title} tabIndex={-1} ref={section}>
      <div className={styles.what}>
        <div>
          <h2>{game.title}</h2>
          <p className={panel.soft}>a game{game.condition && `; last time: ${game.condition}`}</p>
        </div>
      </div>
      <div className={styles.states}>
        {(Object.keys(states) as State[]).map((s) => (
          <button key={s} type="button" aria-pressed={state === s} onClick={() => setState(s)}>
            {states[s]}
          </button>
        ))}
      </div>
      {state === 'gone' && (
        <div className={styles.verdict}>
          <label>
            What is gone? <input value={gone} placeholder="the small triangle" onChange={(e) => setGone(e.target.value)} />
          </label>
          <Button onClick={() => answer(true)}>To be made: on the list</Button>
          <Button onClick={() => answer(false)}>Leave it so, still good</Button>
        </div>
      )}
      {state === 'bin' && (
        <div className={styles.verdict}>
          <label>
            Where does it belong?{' '}
            <select value={moved} onChange={(e) => setMoved(e.target.value)}>
              <option value="">choose …</option>
              {drawers.map((d) => (
                <option key={d}>{d}</option>
              ))}
            </select>
          </label>
        </div>
      )}
      <div className={styles.foot}>
        <span>{next === null ? 'The last one' : `Next: ${next}`}</span>
        <Button kind="main" onClick={() => answer(false)}>
          {states[state]}, {next === null ? 'done' : 'next'}
        </Button>
      </div>
    </section>
  );
}
