import { firstOf, impossible, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type NeighbourParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { boardProblem, makeBoard } from './rules';

export const neighbourRace: Mechanism<NeighbourParameters> = {
  id: 'neighbour-race',
  title: 'Neighbour race',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Pegs start below the board and climb row by row.',
    'Throw: add the die to the number you stand on, or ask of which number ahead the die is a factor.',
    'If that number touches your space, move there; otherwise stay.',
    'A space that is taken is blocked, sends its peg back, or is shared, as agreed.',
    'The last space wants the exact throw, unless agreed otherwise.',
  ],
  played: { with: ['dice', 'board'], does: ['adds', 'multiplies'], moves: ['races'], who: ['in-turn'], ends: ['first-home'] },
  earlyEnding: 'Whoever stands highest says which throws would have helped; leave the pegs for next time.',
  told: ['throws {x} and moves to {y}', 'throws {x} at {y} and nothing fits', 'throws {x}, moves to {y} and sends the other peg back'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['sentBack'],
  headStart: 'rows',
  check: (p) =>
    firstOf(
      p.ways > p.width && impossible('ways', `A row has only ${p.width} spaces.`),
      makeBoard(p) === null &&
        impossible(
          'wasted',
          `No board was found on which at most ${p.wasted} % of throws move nobody and the end can be reached. Allow more, give each space more ways ahead, or use a smaller die.`,
        ),
    ),
  checkTable: (seats) => {
    const common = ownOnly(seats, ['rule', 'finish']);
    if (common) return common;
    const board = makeBoard(seats[0]!.parameters)!;
    const trap = seats.map((s) => boardProblem({ ...s.parameters, wasted: 80 }, board)).find((x) => x !== null && !x.includes('%'));
    return trap ? impossible('rule', `On this board ${trap}.`) : null;
  },
  channels: (p) => [
    { op: 'add', unknown: 'result', rep: 'numerals', a: [0, (p.rows + 2) * p.faces], b: [0, p.faces] },
    { op: 'factor', unknown: 'result', rep: 'numerals', a: [0, (p.rows + 2) * p.faces], b: [0, p.faces] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { kind: 'hex-board', quantity: 1 },
    { kind: 'pegs', quantity: seats },
    { chances: [1, p.faces], count: p.choose },
  ],
  sheets: (p) => [{ sheet: 'hex-board', copies: 1, data: { ...p } }],
};
