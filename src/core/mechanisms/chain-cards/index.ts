import { fourOperations } from '../../play/arithmetic';
import { firstOf, impossible, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type ChainParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { answersOf } from './rules';

export const chainCards: Mechanism<ChainParameters> = {
  id: 'chain-cards',
  title: 'Chain of cards',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Deal all cards round.',
    'One player reads a card: what it has, and what it asks for.',
    'Everyone works it out; whoever has the answer reads next.',
    'The loop is complete when the first card is asked for.',
    'All play together; a second time round it goes more smoothly.',
  ],
  played: { with: ['cards'], does: ['adds', 'takes-away', 'multiplies'], moves: ['passes-on'], who: ['together'], ends: ['all-gone'] },
  earlyEnding: 'Lay the remaining cards open and close the loop together.',
  told: ['reads: I have {x}; the answer asked for is {y}', 'overlooks that {x} is on the own card, and is helped'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 12 },
  extraMeasures: ['stalls'],
  headStart: null,
  check: (p) => {
    const n = answersOf(p).length;
    return firstOf(
      p.shows === 'dots' &&
        p.highest > 30 &&
        impossible('shows', 'More than 30 dots cannot be seen as a number; show the question in figures.'),
      n < p.cards && impossible('cards', `Only ${n} different answers up to ${p.highest} can be asked for, and the loop needs ${p.cards}.`),
    );
  },
  checkTable: (seats) => ownOnly(seats, []),
  channels: (p) =>
    fourOperations.map((op) => ({
      op,
      unknown: 'result',
      rep: p.shows,
      a: [0, op === 'multiply' ? Math.max(12, Math.ceil(p.highest / 2)) : 2 * p.highest + 10],
      b: op === 'add' ? [0, p.highest] : [0, 12],
    })),
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: (p) => p.everyone,
  createTable,
  needs: () => [{ kind: 'chain-card-set', quantity: 1 }],
  sheets: (p) => [{ sheet: 'chain-cards', copies: 1, data: { ...p } }],
};
