import { createRng } from '../../shared/rng';
import type { Problem } from '../../shared/codes';
import type { Mechanism, Seat } from '../mechanism';
import { DEFAULTS, SCHEMA, type TargetCombineParameters } from './parameters';
import { createTable } from './playOut';
import { deal, newDealer } from './rules';

const impossible = (field: string, message: string): Problem => ({ code: 'impossible-parameters', field, message });

function check(p: TargetCombineParameters): Problem | null {
  if (p.highest < p.lowest) return impossible('highest', `The highest number (${p.highest}) is below the lowest (${p.lowest}).`);
  if (p.mostStars < p.leastStars) return impossible('mostStars', 'Most stars must not be fewer than fewest stars.');
  if (p.draw === 'deck' && (p.highest - p.lowest + 1) * p.copies < p.numbers) return impossible('copies', 'The deck holds fewer cards than one hand needs.');
  const hand = deal(newDealer(p), { ...p, unsolvable: false }, createRng(1));
  if (hand.stars < p.leastStars || hand.stars > p.mostStars)
    return impossible('target', `In 200 hands from ${p.lowest} to ${p.highest} none made ${p.target} at ${p.leastStars} to ${p.mostStars} stars.`);
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
  family: 'target-combine',
  title: 'Target combine',
  words: [
    'Lay the number cards open; everyone looks at the same hand.',
    'Use every number exactly once, with the operations agreed, to make the target.',
    'Say or write each step; others check it.',
    'Nobody has to be first: everyone who finds a way scores its stars.',
    'After a few tries, pass the hand on and take the next.',
  ],
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['handsSolved', 'secondWays'],
  check,
  checkTable,
  channels: () => (['add', 'subtract', 'multiply', 'divide'] as const).map((op) => ({ op, unknown: 'result', rep: 'numerals' })),
  range: () => ({ low: 0, highA: denseLimit, highB: denseLimit }),
  simultaneous: () => true,
  createTable,
  materials: () => [
    { kind: 'target-cards', quantity: 1 },
    { kind: 'paper', quantity: 1 },
  ],
};
