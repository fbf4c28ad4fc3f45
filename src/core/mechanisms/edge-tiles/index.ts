import { firstOf, impossible, inOrder, ownOnly } from '../../play/refuse';
import type { Problem } from '../../shared/codes';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type EdgeTileParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { canScore } from './rules';

function check(p: EdgeTileParameters): Problem | null {
  return firstOf(
    inOrder(p.lowest, p.highest, 'highest', 'number on an edge'),
    p.most < p.step && impossible('most', `No multiple of ${p.step} is as small as ${p.most}.`),
    !canScore(p) && impossible('step', `No two edges from ${p.lowest} to ${p.highest} make an allowed result.`),
  );
}

export const edgeTiles: Mechanism<EdgeTileParameters> = {
  id: 'edge-tiles',
  title: 'Edge tiles',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Each tile has a number and a colour on all four edges. One tile starts the board; everyone holds a hand.',
    'In turn, lay a tile so that edges which meet agree in colour and make an allowed number.',
    'A spot between two tiles must suit both, and both may score.',
    'Say what the edges make and add it to your points.',
    'Draw again; with nothing that fits, change a tile.',
  ],
  played: { with: ['tiles'], does: ['adds', 'multiplies', 'takes-away'], moves: ['joins'], who: ['in-turn'], ends: ['score'] },
  earlyEnding: 'Everyone lays the one tile they are proudest of; count the whole board as one score.',
  told: [
    'lays a tile for {x} points and has {y}',
    'has nothing that fits among {x} tiles and changes one',
    'fills a spot between tiles for {x} points and has {y}',
  ],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['innerSpots', 'noScorePairs'],
  headStart: 'points',
  check,
  checkTable: (seats) => {
    const p = seats[0]!.parameters;
    const wanted = seats.reduce((sum, s) => sum + s.parameters.hand, 1);
    return firstOf(
      ownOnly(seats, ['hand', 'turning', 'target', 'joinTo', 'scoring']),
      p.tiles < wanted && impossible('tiles', `${seats.length} hands and the first tile need ${wanted} tiles.`),
    );
  },
  channels: (p) => {
    const op = p.operation === 'sum' ? 'add' : p.operation === 'product' ? 'multiply' : 'subtract';
    return [
      { op, unknown: 'result', rep: 'numerals', a: [0, p.highest], b: [0, p.highest] },
      { op: 'add', unknown: 'result', rep: 'numerals', a: [0, Math.min(300, p.target)], b: [0, Math.min(200, 2 * p.most)] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (_p, seats) => [
    { kind: 'edge-tiles', quantity: 1 },
    { kind: 'recording-sheet', quantity: seats },
  ],
  sheets: (p) => [{ sheet: 'edge-tiles', copies: 1, data: { ...p } }],
};
