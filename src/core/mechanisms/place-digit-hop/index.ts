import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type HopParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const placeDigitHop: Mechanism<HopParameters> = {
  id: 'place-digit-hop',
  title: 'Digit hop',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Pegs start at the beginning of the number board.',
    'Draw a place card and a digit: four in the tens.',
    'Hop to the nearest space ahead that has this digit in this place, and read it aloud.',
    'No such space ahead? Stay.',
    'The first at the end of the board closes the race.',
  ],
  played: { with: ['board', 'cards'], does: ['places-digits'], moves: ['races'], who: ['in-turn'], ends: ['first-home'] },
  earlyEnding: 'Everyone draws one last card together; who hops furthest, and why?',
  told: ['hops for digit {x} to {y}', 'finds no space with digit {x} from {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['hopsCorrected'],
  headStart: 'spaces',
  check: (p) =>
    firstOf(
      p.end < p.start + 30 && impossible('end', `The board must reach at least to ${p.start + 30}.`),
      p.places === 'ones-tens-hundreds' && p.end < 200 && impossible('places', 'A digit in the hundreds needs a board to at least 200.'),
    ),
  checkTable: (seats) => sharedBy(seats, ['start', 'end', 'finish', 'hops']),
  channels: (p) => {
    const pair = p.end <= 200 ? ([0, p.end] as const) : ([0, 0] as const);
    return [
      { op: 'place-digit', unknown: 'result', rep: 'numerals', a: [0, 9], b: [0, 2] },
      { op: 'read-numeral', unknown: 'result', rep: 'numerals', a: [0, p.end], b: [0, 0] },
      { op: 'subtract', unknown: 'result', rep: 'number-line', a: pair, b: pair },
      { op: 'subtract', unknown: 'result', rep: 'number-line', a: pair, b: pair },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { kind: p.end <= 100 ? 'hundred-chart' : 'number-board', quantity: 1 },
    { kind: 'pegs', quantity: seats },
    { cards: [0, 9], each: 1 },
    { kind: 'place-cards', quantity: 1 },
  ],
  sheets: (p) => [
    { sheet: 'number-board', copies: 1, data: { from: p.start, to: p.end } },
    { sheet: 'place-cards', copies: 1, data: { places: p.places } },
  ],
};
