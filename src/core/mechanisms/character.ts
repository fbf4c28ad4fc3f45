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

/** What an owner asks before choosing, each answer in a few words. */
export interface QuickLook {
  readonly mood: Mood;
  /** What makes it fair where older and younger sit together. */
  readonly mixed: 'together' | 'head-start' | 'own-numbers' | 'like-only';
  /** Whether somebody must be there when it is played for the first time. */
  readonly firstTime: 'taught' | 'read';
}

/** From about here children read and follow the rules of a new game by themselves (common practice, no source). */
const readsAlone = 8;

/**
 * The quick look of one version: its mood, who may sit together, and who starts it.
 * `own` says whether each seat may play with numbers of its own.
 */
export function quickLook(
  m: Pick<Mechanism, 'played' | 'headStart'>,
  room: 'calm' | 'lively' | 'floor',
  ages: readonly [number, number],
  presence: 'alone' | 'nearby' | 'needed',
  own: boolean,
): QuickLook {
  const mixed = m.played.who.includes('together') ? 'together' : m.headStart !== null ? 'head-start' : own ? 'own-numbers' : 'like-only';
  return { mood: moodOf(m, room), mixed, firstTime: ages[0] < readsAlone || presence !== 'alone' ? 'taught' : 'read' };
}
