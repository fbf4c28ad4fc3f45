import type { Mechanism } from './mechanism';

/** Families that practise honestly but have no decision, no neighbour and no end but being done. */
const practice: ReadonlySet<string> = new Set([
  'sequence-grid',
  'fact-wheel',
  'task-hunt',
  'mirror-it',
  'build-a-number',
  'measure-and-record',
  'sort-and-graph',
  'count-the-lot',
  'cover-the-shape',
  'continue-the-pattern',
  'quick-look',
]);

/** A game, or practice and activity: it fills a seat, but nobody is promised a game. */
export type Sort = 'game' | 'practice';
export const sortOf = (mechanism: string | null): Sort => (mechanism !== null && practice.has(mechanism) ? 'practice' : 'game');

/** How it goes at a table, by its rules: where one dares or runs about it is lively, where one thinks it is calm (common practice, no source). */
export type Mood = 'calm' | 'between' | 'lively';
export function moodOf(m: Pick<Mechanism, 'played'>, room: 'calm' | 'lively' | 'floor'): Mood {
  const { moves, who } = m.played;
  if (room !== 'calm' || moves.includes('dares')) return 'lively';
  return moves.some((x) => x === 'races' || x === 'fills' || x === 'compares-round') || who.includes('all-at-once') ? 'between' : 'calm';
}
