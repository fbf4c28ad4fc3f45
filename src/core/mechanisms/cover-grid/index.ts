import type { Operation } from '../../items/item';
import { type ActHalf, actHalves, isActHalf } from '../../play/actHalves';
import { firstOf, impossible, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type CoverParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { cellsOf, factsFor, linesOf, poolOf } from './rules';

const operationOf: Readonly<Record<Exclude<CoverParameters['relation'], ActHalf>, Operation>> = {
  number: 'read-numeral',
  sum: 'add',
  difference: 'subtract',
  product: 'multiply',
  round: 'round',
};

export const coverGrid: Mechanism<CoverParameters> = {
  id: 'cover-grid',
  title: 'Cover the grid',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone has a card; no two are alike.',
    'The caller turns a fact and reads it aloud, twice.',
    'Work it out; if the answer is on your card, cover it.',
    'Whoever first has a full line as agreed says so, and reads it back.',
    'Those who work it out but do not have it have practised just as well.',
  ],
  played: { with: ['board', 'cards'], does: ['adds', 'takes-away', 'multiplies'], moves: ['fills'], who: ['all-at-once'], ends: ['full'] },
  earlyEnding: 'Count covered squares: the whole table together, row by row.',
  told: ['the caller reads out what makes {x}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 30 },
  extraMeasures: ['missedSquares'],
  headStart: 'lines',
  check: (p) => {
    const pool = poolOf(p);
    return firstOf(
      pool.length < cellsOf(p) && impossible('pool', `A card has ${cellsOf(p)} different numbers and only ${pool.length} can be called.`),
      p.linesToWin > linesOf(p).length && impossible('linesToWin', `A card has only ${linesOf(p).length} such lines.`),
      pool.some((n) => factsFor(p, n).length === 0) && impossible('lowest', 'Some numbers have no fact to call them by.'),
    );
  },
  checkTable: (seats) => ownOnly(seats, []),
  channels: (p) => {
    if (isActHalf(p.relation)) {
      const { op, rep } = actHalves[p.relation];
      return [{ op, rep, unknown: 'result', a: [0, 0], b: [0, 0] }];
    }
    const most = Math.max(...poolOf(p));
    const a = p.relation === 'product' ? 12 : most + 10;
    return [
      {
        op: operationOf[p.relation],
        unknown: 'result',
        rep: p.relation === 'number' ? 'words' : 'expression',
        a: [0, a],
        b: p.relation === 'number' ? [0, 0] : p.relation === 'sum' ? [0, most] : [0, 12],
      },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [
    isActHalf(p.relation) ? { kind: 'paper', quantity: seats } : { kind: 'grid-cards', quantity: seats },
    { kind: 'two-colour-counters', quantity: 10 * seats },
  ],
  sheets: (p, seats) => [{ sheet: 'grid-cards', copies: 1, data: { ...p, cards: isActHalf(p.relation) ? 0 : seats } }],
};
