import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type PressYourLuckParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { throwOdds } from './rules';

export const pressYourLuck: Mechanism<PressYourLuckParameters> = {
  id: 'press-your-luck',
  title: 'Press your luck',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'In turn, throw as often as you dare and add up as you go.',
    'Stop, and the turn is added to your score.',
    'A throw that loses ends the turn with nothing from it.',
    'Say each total aloud so that others can check.',
    'The first to reach the goal ends the game.',
  ],
  played: { with: ['dice'], does: ['adds'], moves: ['dares'], who: ['in-turn'], ends: ['score'] },
  earlyEnding: 'Everyone throws once more at the same time; then each says how far the goal was.',
  told: ['throws {x}: the turn stands at {y}', 'throws {x} and loses the {y} of this turn', 'stops with {x}; the score is {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['throws', 'lostTurns'],
  headStart: 'points',
  check: (p) =>
    firstOf(
      p.lose === 'everything' && p.goal > 60 && impossible('goal', 'When a lost turn costs everything, a goal above 60 hardly ever ends.'),
      throwOdds(p).lost >= 0.75 && impossible('bust', 'Nearly every throw would lose.'),
      p.bust === 'seven' && p.dice === 1 && impossible('bust', 'A seven needs two dice.'),
    ),
  checkTable: (seats) => sharedBy(seats, ['bust']),
  channels: (_p, seats) => {
    const goal = Math.max(...seats.map((s) => s.parameters.goal));
    const most = Math.max(...seats.map((s) => s.parameters.faces * s.parameters.dice));
    return [
      { op: 'add', unknown: 'result', rep: 'pips', a: [1, most], b: [1, most] },
      { op: 'add', unknown: 'result', rep: 'numerals', a: [1, goal], b: [1, most] },
      { op: 'add', unknown: 'result', rep: 'numerals', a: [1, goal], b: [1, goal + most] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [
    { chances: [1, p.faces], count: p.dice },
    { kind: 'paper', quantity: 1 },
  ],
  sheets: () => [],
};
