import { impossible } from '../../play/refuse';
import type { Problem } from '../../shared/codes';
import type { Mechanism, Seat } from '../mechanism';
import { DEFAULTS, SCHEMA, type SumColumnsParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { valueChances } from './rules';

function check(p: SumColumnsParameters): Problem | null {
  if (p.lastColumn < p.firstColumn)
    return impossible('lastColumn', `The last column (${p.lastColumn}) lies before the first (${p.firstColumn}).`);
  if (p.highestFace <= p.lowestFace) return impossible('highestFace', 'The highest number must be above the lowest.');
  if (p.combine === 'difference' && p.dice !== 2) return impossible('dice', 'A difference is taken between exactly two dice.');
  const reachable = [...valueChances(p).keys()].some((v) => v >= p.firstColumn && v <= p.lastColumn);
  if (!reachable) return impossible('lastColumn', `No throw ever reaches the columns ${p.firstColumn} to ${p.lastColumn}.`);
  if (p.draw === 'no-return' && (p.highestFace - p.lowestFace + 1) * p.copies < p.dice)
    return impossible('copies', 'The deck holds fewer cards than one turn draws.');
  return null;
}

function checkTable(seats: readonly Seat<SumColumnsParameters>[]): Problem | null {
  const board = seats[0]!.parameters;
  const differs = (['height', 'firstColumn', 'lastColumn', 'combine', 'draw'] as const).find((key) =>
    seats.some((s) => s.parameters[key] !== board[key]),
  );
  return differs
    ? {
        code: 'impossible-parameters',
        field: differs,
        message: `All players share one board, so "${differs}" must be the same for everyone.`,
      }
    : null;
}

export const sumColumns: Mechanism<SumColumnsParameters> = {
  id: 'sum-columns',
  title: 'Sum columns',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Each player picks columns before the first throw.',
    'In turn, throw the dice, say the sum, and mark one box above that number.',
    'A throw with no column is passed on with a smile.',
    'The first full column ends the game; whoever picked it has won.',
    'Ask: which column never gets a mark? Which fills first, and why?',
  ],
  played: { with: ['dice', 'cards'], does: ['adds', 'takes-away'], moves: ['fills'], who: ['in-turn'], ends: ['full'] },
  earlyEnding: 'Count who has a picked column highest, say which column would have won, and leave the sheet for next time.',
  told: ['throws {x}, which is not on the sheet', 'throws {x} and marks its column', 'picks column {x}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['columnsNeverMarked', 'unpickedColumnFillsFirst', 'columnFilled'],
  headStart: null,
  check,
  checkTable,
  channels: (p) => [
    {
      op: p.combine === 'sum' ? 'add' : 'subtract',
      unknown: 'result',
      rep: p.highestFace <= 6 && p.draw === 'return' ? 'pips' : 'numerals',
    },
  ],
  range: (seats) => ({
    low: 0,
    highA: Math.max(...seats.map((s) => s.parameters.highestFace * (s.parameters.combine === 'sum' ? s.parameters.dice - 1 : 1))),
    highB: Math.max(...seats.map((s) => s.parameters.highestFace)),
  }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [
    p.draw === 'no-return'
      ? { cards: [p.lowestFace, p.highestFace], each: p.copies }
      : { chances: [p.lowestFace, p.highestFace], count: p.dice },
    { kind: 'column-sheet', quantity: 1 },
  ],
  sheets: (p, seats) => [{ sheet: 'column-sheet', copies: seats, data: { first: p.firstColumn, last: p.lastColumn, height: p.height } }],
};
