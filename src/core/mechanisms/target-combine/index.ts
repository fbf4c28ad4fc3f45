import { createRng } from '../../shared/rng';
import { impossible } from '../../play/refuse';
import type { Problem } from '../../shared/codes';
import type { Mechanism, Seat } from '../mechanism';
import { DEFAULTS, SCHEMA, type TargetCombineParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { deal, drawDecoy, newDealer, scaleOf } from './rules';

function check(p: TargetCombineParameters): Problem | null {
  if (p.highest < p.lowest) return impossible('highest', `The highest number (${p.highest}) is below the lowest (${p.lowest}).`);
  if (p.mostStars < p.leastStars) return impossible('mostStars', 'Most stars must not be fewer than fewest stars.');
  if (p.draw === 'deck' && (p.highest - p.lowest + 1) * p.copies < p.numbers)
    return impossible('copies', 'The deck holds fewer cards than one hand needs.');
  if (scaleOf(p) > 1 && p.intermediates !== 'rational' && p.intermediates !== 'non-negative')
    return impossible('intermediates', 'Halves and tenths need fractions on the way.');
  if (p.cards === 'with-negatives' && (p.intermediates === 'natural' || p.intermediates === 'non-negative'))
    return impossible('intermediates', 'Cards below zero need numbers below zero on the way.');
  const hand = deal(newDealer(p), { ...p, unsolvable: false }, createRng(1));
  if (p.twoOnACard && !drawDecoy(newDealer(p), p, createRng(1)))
    return impossible('twoOnACard', 'Every hand works, so no card can carry one that does not.');
  if (hand.stars < p.leastStars || hand.stars > p.mostStars)
    return impossible(
      'target',
      `In 200 hands from ${p.lowest} to ${p.highest} none made ${p.target} at ${p.leastStars} to ${p.mostStars} stars.`,
    );
  return null;
}

function checkTable(seats: readonly Seat<TargetCombineParameters>[]): Problem | null {
  const differs = seats.some((s) => s.parameters.hands !== seats[0]!.parameters.hands);
  return differs ? impossible('hands', 'Everyone plays the same number of hands.') : null;
}

/** Results beyond this are rare and counted apart. */
const denseLimit = 120;

export const targetCombine: Mechanism<TargetCombineParameters> = {
  id: 'target-combine',
  title: 'Target combine',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Lay the number cards open; everyone looks at the same hand.',
    'Use every number exactly once, with the operations agreed, to make the target.',
    'Say or write each step; others check it.',
    'Nobody has to be first: everyone who finds a way scores its stars.',
    'After a few tries, pass the hand on and take the next.',
  ],
  played: {
    with: ['cards', 'dice'],
    does: ['adds', 'takes-away', 'multiplies'],
    moves: ['makes-target'],
    who: ['all-at-once'],
    ends: ['rounds'],
  },
  earlyEnding: 'Finish the hand on the table together and keep it as a riddle for the door.',
  told: ['makes the target in a {x}-star hand (ways there are: {y})', 'tries a line and comes to {x}', 'passes the hand on'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['handsSolved', 'secondWays'],
  headStart: 'stars',
  check,
  checkTable,
  channels: () => (['add', 'subtract', 'multiply', 'divide'] as const).map((op) => ({ op, unknown: 'result', rep: 'numerals' })),
  range: (seats) => ({
    low: seats.some(
      (s) =>
        s.parameters.cards === 'with-negatives' || s.parameters.intermediates === 'rational' || s.parameters.intermediates === 'integer',
    )
      ? -denseLimit
      : 0,
    highA: denseLimit,
    highB: denseLimit,
  }),
  simultaneous: () => true,
  createTable,
  needs: () => [
    { kind: 'target-cards', quantity: 1 },
    { kind: 'paper', quantity: 1 },
  ],
  sheets: (p) => [{ sheet: 'target-cards', copies: 1, data: { ...p, count: Math.max(12, 2 * p.hands) } }],
};
