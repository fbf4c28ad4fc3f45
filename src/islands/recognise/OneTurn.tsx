import type { MechanismWire } from '../../contract/wire/families';
import { useQuery } from '@tanstack/react-query';
import { toldText } from '../../text/itemText';
import { finished } from '../shared/api';
import panel from '../shared/panel.module.css';
import styles from './recognise.module.css';

const mostScenes = 3;
const seat = ['The first child', 'The next child', 'Another child'];

/** A turn or two of a simulated game, told with its numbers; what goes wrong tells families apart best. */
export function OneTurn({ mechanism, parameters }: { mechanism: MechanismWire; parameters: Readonly<Record<string, unknown>> }) {
  const seats = Math.min(mechanism.seats.max, Math.max(mechanism.seats.min, 2));
  const story = useQuery({
    queryKey: ['one-turn', mechanism.id, parameters],
    queryFn: () =>
      finished('POST /stories', { body: { mechanism: mechanism.id, parameters: { ...parameters }, seats, seed: 11, game: 1 } }),
    staleTime: Infinity,
  });
  if (story.error) return <p className={panel.soft}>{mechanism.words.slice(0, mostScenes).join(' ')}</p>;
  const told = (story.data?.events ?? []).flatMap((e) => (e.kind === 'told' ? [e] : []));
  const fractions = (story.data?.events ?? []).some((e) => e.kind === 'item' && e.item.op.includes('fraction'));
  const scenes = scenesOf(told);
  return (
    <ol className={styles.scenes} aria-busy={!story.data}>
      {scenes.map((e, i) => (
        <li key={i}>
          <Numbers sentence={mechanism.told[e.sentence] ?? ''} x={e.x} y={e.y} fractions={fractions} />
          <p>
            {!own(mechanism.told[e.sentence] ?? '') && <b>{seat[e.seat] ?? 'A child'}</b>}{' '}
            {toldText(mechanism.told[e.sentence] ?? '', e.x, e.y, fractions)}.
          </p>
        </li>
      ))}
      {story.data && scenes.length === 0 && <li>{mechanism.words[1] ?? mechanism.words[0]}</li>}
    </ol>
  );
}

/** Sentences that say themselves who does it. */
const own = (sentence: string): boolean => sentence.startsWith('the ');

interface Told {
  readonly seat: number;
  readonly sentence: number;
  readonly x: number;
  readonly y: number;
}

/** The first of each thing that can happen, in the order it happened; a second one of the same kind where there are too few. */
function scenesOf(told: readonly Told[]): Told[] {
  const kinds = [...new Set(told.map((e) => e.sentence))].slice(0, mostScenes);
  const firsts = kinds.map((k) => told.findIndex((e) => e.sentence === k));
  for (let i = 0; firsts.length < mostScenes && i < told.length; i++) if (!firsts.includes(i)) firsts.push(i);
  return firsts.sort((a, b) => a - b).map((i) => told[i]!);
}

/** The numbers of a sentence on cards. */
function Numbers({ sentence, x, y, fractions }: { sentence: string; x: number; y: number; fractions: boolean }) {
  const numbers = [
    sentence.includes('{x}') ? toldText('{x}', x, y, fractions) : null,
    sentence.includes('{y}') ? toldText('{y}', x, y, fractions) : null,
  ];
  return (
    <span className={styles.cards} aria-hidden>
      {numbers.map((n, i) => n !== null && <span key={i}>{n}</span>)}
    </span>
  );
}
