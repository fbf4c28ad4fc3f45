import { useEffect, useRef, useState } from 'react';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { ThingDrawing } from '../../ui/things/ThingDrawing';
import panel from '../shared/panel.module.css';
import { StateMark } from '../things/StateMark';
import { stateWords, unitWords } from '../things/useThings';
import type { Found } from './progress';
import styles from './stocktake.module.css';
import { LeftOver } from './LeftOver';
import { Foot, GoneVerdict, RightBin } from './verdicts';

export interface KindAnswer {
  /** So many are here; or plenty, or nobody is sure. */
  readonly count: number | 'plenty' | 'unsure';
  readonly patch: { condition?: string; incomplete?: string; bin?: string };
  readonly found: readonly Found[];
}

type Wrong = 'worn' | 'gone' | 'bin' | null;
const wrongs = { worn: 'worn', gone: 'some gone', bin: 'wrong bin' } as const;

/** One kind of thing: how many are in the bin, and whether anything is wrong with them. */
export function CountKind({
  kind,
  drawers,
  next,
  onAnswer,
}: {
  kind: KindWire;
  drawers: readonly string[];
  /** What comes next; null for the last. */
  next: string | null;
  onAnswer: (answer: KindAnswer) => void;
}) {
  const section = useRef<HTMLElement>(null);
  // Digits go to the thing that is asked about.
  useEffect(() => section.current?.focus(), []);
  const lent = kind.loans.reduce((sum, l) => sum + l.quantity, 0);
  const [count, setCount] = useState<KindAnswer['count']>(kind.state === 'plenty' ? 'plenty' : kind.state === 'unsure' ? 0 : kind.quantity);
  const [touched, setTouched] = useState(kind.state !== 'unsure');
  const [wrong, setWrong] = useState<Wrong>(null);
  const [gone, setGone] = useState('');
  const [moved, setMoved] = useState('');
  const number = typeof count === 'number' ? count : 0;
  const set = (to: KindAnswer['count']): void => {
    setCount(to);
    setTouched(true);
  };
  const said = !touched
    ? 'not sure'
    : typeof count === 'number'
      ? `${count} ${unitWords(kind.unit, count)}`
      : count === 'plenty'
        ? 'plenty'
        : 'not sure';
  const answer = (verdict: 'print' | 'leave' | null): void => {
    const what = gone.trim() || 'some are gone';
    onAnswer({
      count: touched ? count : 'unsure',
      patch: {
        ...(wrong === 'worn' ? { condition: 'worn' } : {}),
        ...(wrong === 'gone' ? { incomplete: verdict === 'print' ? `${what}: to be made` : what } : {}),
        ...(wrong === 'bin' && moved !== '' ? { bin: moved } : {}),
      },
      found: [
        ...(wrong === 'worn' ? [{ what: 'mend' as const, title: kind.title, words: 'worn' }] : []),
        ...(wrong === 'gone' && verdict === 'print' ? [{ what: 'print' as const, title: kind.title, words: what }] : []),
        ...(wrong === 'bin' && moved !== '' ? [{ what: 'moved' as const, title: kind.title, words: `to ${moved}` }] : []),
        ...(touched && count === 0 ? [{ what: 'buy' as const, title: kind.title, words: 'none left' }] : []),
      ],
    });
  };
  return (
    <section
      className={styles.one}
      aria-label={kind.title}
      tabIndex={-1}
      ref={section}
      onKeyDown={(e) => {
        if (e.ctrlKey || e.metaKey || e.altKey || (e.target as HTMLElement).closest('input, select')) return;
        if (/^\d$/.test(e.key))
          set(touched && typeof count === 'number' && count > 0 && count < 1000 ? count * 10 + Number(e.key) : Number(e.key));
        else if (e.key === 'Backspace') set(Math.floor(number / 10));
        else if (e.key === '+') set(number + 1);
        else if (e.key === '-') set(Math.max(0, number - 1));
        else if (e.key === 'p' || e.key === 'P') set('plenty');
        else if (e.key === '?') set('unsure');
        else return;
        e.preventDefault();
        e.stopPropagation();
      }}
    >
      <div className={styles.what}>
        <div>
          <h2>{kind.title}</h2>
          <p className={panel.soft}>
            last time: {stateWords(kind)}
            {kind.incomplete && `; ${kind.incomplete}`}
            {kind.condition && `; ${kind.condition}`}
          </p>
        </div>
        <ThingDrawing kind={kind.id} />
      </div>
      <h3>How many {unitWords(kind.unit, 2)} are in the bin?</h3>
      <div className={styles.counter}>
        <button type="button" aria-label="One less" onClick={() => set(Math.max(0, number - 1))}>
          −
        </button>
        <output aria-live="polite">{typeof count === 'number' && touched ? count : '·'}</output>
        <button type="button" aria-label="One more" onClick={() => set(number + 1)}>
          +
        </button>
      </div>
      <div className={styles.states}>
        {(
          [
            ['none', 0],
            ['plenty', 'plenty'],
            ['not sure', 'unsure'],
          ] as const
        ).map(([words, value]) => (
          <button key={words} type="button" aria-pressed={touched && count === value} onClick={() => set(value)}>
            <StateMark state={value === 0 ? 'none' : value} /> {words}
          </button>
        ))}
      </div>
      {lent > 0 && typeof count === 'number' && touched && (
        <p className={panel.soft}>
          {count} here and {lent} with {kind.loans.map((l) => l.who).join(', ')} make {count + lent}
          {count + lent === kind.owned ? ': nothing is lost.' : `; last time there were ${kind.owned}.`}
        </p>
      )}
      <h3>Anything wrong with them?</h3>
      <div className={styles.states}>
        {(Object.keys(wrongs) as (keyof typeof wrongs)[]).map((w) => (
          <button key={w} type="button" aria-pressed={wrong === w} onClick={() => setWrong(wrong === w ? null : w)}>
            {wrongs[w]}
          </button>
        ))}
      </div>
      {wrong === 'gone' && (
        <GoneVerdict gone={gone} example="3 of 20 cards" onGone={setGone} onVerdict={(make) => answer(make ? 'print' : 'leave')} />
      )}
      {touched && typeof count === 'number' && (wrong === 'gone' || count + lent < kind.owned) && (
        <LeftOver kind={kind.id} quantity={count} />
      )}
      {wrong === 'bin' && <RightBin drawers={drawers} moved={moved} onMoved={setMoved} />}
      <Foot said={said} next={next} onNext={() => answer(null)} />
    </section>
  );
}
