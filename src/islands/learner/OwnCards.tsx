import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Fact } from '../../core/print/mixFacts';
import { finished, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { signOf } from '../shared/words';
import styles from './learner.module.css';

/** Children at a table where nothing else is known, and games that are played to count. */
const [players, games] = [3, 2000];

/**
 * A set of cards for one child that looks like everyone's: its facts, and before it is printed how often the child will meet
 * those that are to be practised, counted by playing it.
 */
export function OwnCards({
  learner,
  operation,
  title,
  only,
  practise,
}: {
  learner: string;
  operation: string;
  title: string;
  only: readonly Fact[];
  /** Of these, the facts that are to be practised. */
  practise: readonly Fact[];
}) {
  const [open, setOpen] = useState(false);
  const cards = { operation, only: only.map(([a, b]): [number, number] => [a, b]) };
  const played = useQuery({
    queryKey: ['own cards', JSON.stringify(cards)],
    queryFn: () =>
      finished('POST /simulations', { body: { mechanism: 'call-and-claim', parameters: cards, seats: players, games, seed: 1 } }),
    enabled: open,
    staleTime: Infinity,
    retry: false,
  });
  const wanted = new Set(practise.map((f) => f.join()));
  const dose = (of: (fact: string) => boolean): number => {
    const { items, minutes, games: n } = played.data!;
    const met = items.filter((i) => i.seat === 0 && of(`${i.a},${i.b}`)).reduce((sum, i) => sum + i.count, 0);
    return (10 * met) / (n * minutes['mean']!);
  };
  /** Share by which such a count may be off: of the chances met, and of the minutes they took. */
  const error = (): number => {
    const { minutes, items } = played.data!;
    const met = items.filter((i) => i.seat === 0 && wanted.has(`${i.a},${i.b}`)).reduce((sum, i) => sum + i.count, 0);
    return Math.hypot(1 / Math.sqrt(Math.max(1, met)), minutes['standardError']! / minutes['mean']!);
  };
  const say = ([a, b]: Fact): string => `${a} ${signOf[operation] ?? operation} ${b}`;
  return (
    <details className={styles.ownCards} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>
        Cards for {title}: {practise.length === 1 ? 'this fact' : `these ${practise.length} facts`}, two known to each, looking like
        everyone’s
      </summary>
      <p>
        <b>To practise:</b> {practise.map(say).join(', ')}. <b>Known beside them:</b>{' '}
        {only
          .filter((f) => !wanted.has(f.join()))
          .map(say)
          .join(', ')}
        .
      </p>
      {played.isError ? (
        <p role="alert">{messageOf(played.error)}</p>
      ) : !played.data ? (
        <p className={panel.soft}>Playing them …</p>
      ) : (
        <p role="status">
          In ten minutes of calling and finding with {players} at the table {learner} meets about{' '}
          <b className={panel.num}>{dose((f) => wanted.has(f)).toFixed(1)}</b> chances of those to practise (±{' '}
          {(dose((f) => wanted.has(f)) * error()).toFixed(1)}) among <b className={panel.num}>{dose(() => true).toFixed(0)}</b>.{' '}
          <span className={panel.soft}>Calculated from the rules, {games.toLocaleString('en')} games.</span>
        </p>
      )}
      <a href={link(`/prep/print?sheet=call-cards&for=${encodeURIComponent(learner)}&with=${encodeURIComponent(JSON.stringify(cards))}`)}>
        Print these {only.length} cards
      </a>
    </details>
  );
}
