import { impossible, sharedBy } from '../../play/refuse';
import type { Problem } from '../../shared/codes';
import type { Mechanism, Seat } from '../mechanism';
import { DEFAULTS, type RunningTotalParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { deadTotals, deckOf } from './rules';

function check(p: RunningTotalParameters): Problem | null {
  if (p.high <= p.low) return impossible('high', `The upper end (${p.high}) must lie above the lower end (${p.low}).`);
  if (p.highestCard < p.lowestCard)
    return impossible('highestCard', `The highest card (${p.highestCard}) is below the lowest (${p.lowestCard}).`);
  const dead = deadTotals(p);
  if (dead.length > 0)
    return impossible(
      'landing',
      `From ${dead[0]} the end can never be met exactly with cards ${p.lowestCard} to ${p.highestCard}. Add lower cards or let the end be passed.`,
    );
  if (p.draw === 'deck' && deckOf(p).length <= p.handSize) return impossible('copies', 'The deck is no larger than one hand.');
  return null;
}

function checkTable(seats: readonly Seat<RunningTotalParameters>[]): Problem | null {
  const common = seats[0]!.parameters;
  const differs = sharedBy(seats, ['direction', 'low', 'high', 'landing', 'bonusStep', 'matchTop', 'draw', 'deckOut', 'roundsToWin']);
  if (differs) return differs;
  if (common.draw === 'return') return null;
  const wanted = seats.reduce((sum, s) => sum + s.parameters.handSize, 0);
  return deckOf(common).length <= wanted
    ? impossible('handSize', `${seats.length} hands need ${wanted} cards and the deck has ${deckOf(common).length}.`)
    : null;
}

export const runningTotal: Mechanism<RunningTotalParameters> = {
  id: 'running-total',
  title: 'Running total',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone holds a hand of number cards; one total is kept for the whole table.',
    'In turn, play a card, say the new total, and draw.',
    'Counting down works the same way: take the card away and say what is left.',
    'A take-ten card takes ten off, a turn-round card changes the direction of play, a pass-over card leaves the next player out, a round-it card brings the total to the nearest ten.',
    'With nothing to play, put a card away and draw. Reaching the end ends the round.',
  ],
  played: { with: ['cards'], does: ['adds', 'takes-away'], moves: ['total-grows'], who: ['in-turn'], ends: ['first-home', 'score'] },
  earlyEnding: 'Say the total aloud together; each player says what would have brought it to the end.',
  told: [
    'plays {x}; the total is {y}',
    'plays a take-ten card; the total is {y}',
    'turns the direction of play',
    'passes over the next player',
    'has nothing to play and puts {x} away',
    'rounds the total {x} to {y}',
  ],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['landingsOnTen', 'tokensTaken'],
  headStart: 'tokens',
  check,
  checkTable,
  channels: () => [
    { op: 'add', unknown: 'result', rep: 'numerals' },
    { op: 'subtract', unknown: 'result', rep: 'numerals' },
    { op: 'round', unknown: 'result', rep: 'numerals' },
  ],
  range: (seats) => ({
    low: 0,
    highA: Math.max(...seats.map((s) => s.parameters.high + s.parameters.highestCard)),
    highB: Math.max(10, ...seats.map((s) => s.parameters.highestCard)),
  }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [
    { cards: [p.lowestCard, p.highestCard], each: p.copies },
    ...(p.takeTen + p.reverse + p.skip + p.round > 0 ? [{ kind: 'special-cards', quantity: 1 }] : []),
    ...(p.bonusStep > 0 || p.matchTop ? [{ kind: 'two-colour-counters', quantity: 20 }] : []),
  ],
  sheets: (p) => [
    {
      sheet: 'number-cards',
      copies: 1,
      data: {
        low: p.lowestCard,
        high: p.highestCard,
        copies: p.copies,
        takeTen: p.takeTen,
        turnRound: p.reverse,
        passOver: p.skip,
        round: p.round,
      },
    },
  ],
};
