import { useEffect, useRef, useState } from 'react';
import type { GameWire } from '../../contract/wire/shelf';
import panel from '../shared/panel.module.css';
import type { Found } from './progress';
import styles from './stocktake.module.css';
import { Foot, GoneVerdict, RightBin } from './verdicts';

export interface GameAnswer {
  readonly patch: { condition?: string; bin?: string };
  /** Put away until next year. */
  readonly away: boolean;
  readonly found: readonly Found[];
}

const states = { here: 'here', missing: 'not here', worn: 'worn', gone: 'incomplete', bin: 'wrong bin', next: 'next year’s' } as const;
type State = keyof typeof states;
/** What is written of a game that was not there. */
const notFound = 'not found in its bin';

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
        ...(state === 'missing' ? { condition: notFound } : {}),
        ...(state === 'worn' ? { condition: 'worn' } : {}),
        ...(state === 'gone' ? { condition: make ? `${what}: to be made` : what } : {}),
        // What was lost and is found is said no more; whatever else she wrote of it stays.
        ...(state === 'here' && game.condition === notFound ? { condition: '' } : {}),
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
      {state === 'gone' && <GoneVerdict gone={gone} example="the small triangle" onGone={setGone} onVerdict={answer} />}
      {state === 'bin' && <RightBin drawers={drawers} moved={moved} onMoved={setMoved} />}
      <Foot said={states[state]} next={next} onNext={() => answer(false)} />
    </section>
  );
}
