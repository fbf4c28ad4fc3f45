import { firstOf, impossible, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type BoundGuessParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const boundGuess: Mechanism<BoundGuessParameters> = {
  id: 'bound-guess',
  title: 'Guess between bounds',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A helper hides a number and names the bounds.',
    'In turn, guess; the helper says more, less or found.',
    'Move the bound to the guess: everyone can see what is still possible.',
    'A wrong guess costs common points, a guess outside the bounds costs more.',
    'Find every number before the points are gone: all win together.',
  ],
  played: { with: ['board', 'paper'], does: ['compares'], moves: ['guesses'], who: ['together'], ends: ['all-gone', 'rounds'] },
  earlyEnding: 'Everyone whispers a last guess; the nearest names the next hidden number another day.',
  told: [
    'guesses {x}: more; {y} points left',
    'guesses {x}: less; {y} points left',
    'guesses {x}: found',
    'guesses {x}, outside the bounds; {y} points left',
  ],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 8 },
  extraMeasures: ['shareFound', 'guessesOutside', 'groupWins'],
  headStart: null,
  check: (p) =>
    firstOf(
      p.high <= p.low + 1 && impossible('high', 'Leave at least three numbers to guess from.'),
      p.wrong === 0 && p.outside === 0 && impossible('wrong', 'Some guess must cost something, or the points never matter.'),
    ),
  checkTable: (seats) => ownOnly(seats, []),
  channels: (p) => [
    {
      op: 'compare',
      unknown: 'result',
      rep: 'number-line',
      ...(p.high <= 200 ? { a: [p.low, p.high] as const, b: [p.low, p.high] as const } : {}),
    },
    {
      op: 'compare',
      unknown: 'result',
      rep: 'numerals',
      ...(p.high <= 200 ? { a: [p.low, p.high] as const, b: [p.low, p.high] as const } : {}),
    },
  ],
  range: (seats) => ({ low: 0, highA: Math.min(1000, seats[0]!.parameters.high), highB: Math.min(1000, seats[0]!.parameters.high) }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [
    { kind: p.high <= 100 ? 'hundred-chart' : 'number-line', quantity: 1 },
    { kind: 'pegs', quantity: 2 },
    { kind: 'two-colour-counters', quantity: p.points },
  ],
  sheets: (p) => [{ sheet: 'number-line', copies: 1, data: { low: p.low, high: p.high, lines: 1 } }],
};
