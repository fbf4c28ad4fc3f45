import type { GameInput } from '../server/shelf/shelfStore';
import type { VariantInput } from '../server/shelf/variantStore';

/** A mixed-age co-op that meets in an old signal-box library by a disused branch line. All invented. */

export interface DemoGame extends GameInput {
  readonly title: string;
  readonly variants: readonly (VariantInput & { title: string })[];
}

export const demoGames: readonly DemoGame[] = [
  {
    title: 'Lever Frame',
    bin: 'Add and subtract',
    source: 'made',
    condition: 'all 48 cards there',
    notes: '6 and 9 are underlined',
    rules: ['Everybody pulls at one frame of levers, and the number on it belongs to the whole table.'],
    variants: [
      {
        title: 'up to 20',
        mechanism: 'running-total',
        parameters: { high: 20, highestCard: 5, handSize: 3, takeTen: 0, reverse: 0, skip: 0 },
        ages: [5, 7],
        minutes: 10,
        preparationMinutes: 0,
      },
      {
        title: 'up to 50',
        mechanism: 'running-total',
        parameters: { high: 50, handSize: 3, takeTen: 2, reverse: 2, skip: 2, bonusStep: 10 },
        ages: [6, 9],
        minutes: 15,
      },
      {
        title: 'down from 50',
        mechanism: 'running-total',
        parameters: { high: 50, handSize: 3, direction: 'down', takeTen: 0, reverse: 2, skip: 2, bonusStep: 10 },
        ages: [7, 10],
        minutes: 15,
      },
      {
        title: 'down from 20',
        mechanism: 'running-total',
        parameters: { high: 20, highestCard: 9, handSize: 3, direction: 'down', takeTen: 0, reverse: 0, skip: 0 },
        ages: [6, 8],
        minutes: 10,
      },
    ],
  },
  {
    title: 'Two Lamps',
    bin: 'Bonds and parts',
    source: 'made',
    condition: 'good',
    rules: ['The lamps are out, and only two that belong together will burn.'],
    variants: [
      {
        title: 'pairs of five',
        mechanism: 'pair-memory',
        parameters: { sum: 5, highestCard: 5, rows: 3, columns: 4 },
        ages: [5, 7],
        minutes: 10,
      },
      {
        title: 'pairs of nine',
        mechanism: 'pair-memory',
        parameters: { sum: 9, highestCard: 9, rows: 4, columns: 5 },
        ages: [6, 9],
        minutes: 12,
      },
      { title: 'pairs of ten', mechanism: 'pair-memory', parameters: { sum: 10 }, ages: [5, 8], minutes: 10 },
    ],
  },
  {
    title: 'Long Platform',
    bin: 'Bonds and parts',
    source: 'made',
    condition: 'one card bent',
    notes: 'numbers to twenty, green backs',
    rules: ['The platform is long, and each lamp looks for its partner far away.'],
    variants: [
      {
        title: 'pairs of twenty',
        mechanism: 'pair-memory',
        parameters: { sum: 20, lowestCard: 1, highestCard: 19, rows: 4, columns: 4 },
        ages: [7, 10],
        minutes: 12,
        materials: [{ kind: 'pair-cards', quantity: 1 }],
      },
      {
        title: 'pairs of fourteen',
        mechanism: 'pair-memory',
        parameters: { sum: 14, lowestCard: 4, highestCard: 10, rows: 3, columns: 4 },
        ages: [7, 10],
        minutes: 12,
        materials: [{ kind: 'pair-cards', quantity: 1 }],
      },
    ],
  },
  {
    title: 'Weather Board',
    bin: 'Add and subtract',
    source: 'free',
    condition: 'laminated',
    rules: ['Which weather will win today?'],
    variants: [
      { title: 'two dice', mechanism: 'sum-columns', parameters: { height: 6 }, ages: [5, 8], minutes: 15 },
      {
        title: 'big numbers',
        mechanism: 'sum-columns',
        parameters: { height: 4, lowestFace: 0, highestFace: 9, lastColumn: 18, firstColumn: 0 },
        ages: [7, 10],
        minutes: 15,
      },
    ],
  },
  {
    title: 'Rain Gauge',
    bin: 'Add and subtract',
    source: 'made',
    condition: 'good',
    rules: ['Where will the rain fall, and how much more than there?'],
    variants: [
      {
        title: 'how much more',
        mechanism: 'sum-columns',
        parameters: { combine: 'difference', highestFace: 10, lowestFace: 1, firstColumn: 0, lastColumn: 9, height: 5 },
        ages: [6, 9],
        minutes: 15,
      },
    ],
  },
  {
    title: 'Hedge Bees',
    bin: 'Counting and seeing',
    source: 'free',
    condition: '9 bee cards missing',
    notes: 'print page 2 again',
    rules: ['Bees and numbers look for each other in the hedge.'],
    variants: [
      {
        title: 'to five',
        mechanism: 'pair-memory',
        parameters: { relation: 'equal', secondLook: 'dots', lowestCard: 1, highestCard: 5, rows: 2, columns: 5 },
        ages: [4, 6],
        minutes: 10,
      },
      {
        title: 'to ten on frames',
        mechanism: 'pair-memory',
        parameters: { relation: 'equal', secondLook: 'ten-frame', lowestCard: 3, highestCard: 10, rows: 4, columns: 4 },
        ages: [5, 7],
        minutes: 12,
      },
    ],
  },
  {
    title: 'Four to the Bell',
    bin: 'Groups and times',
    source: 'bought',
    condition: 'box split at one side',
    rules: ['The bell rings only when all the numbers pull together.'],
    variants: [
      {
        title: 'one star',
        mechanism: 'target-combine',
        parameters: { mostStars: 1, hands: 4, intermediates: 'natural' },
        ages: [8, 12],
        players: { min: 1, max: 5 },
        minutes: 15,
      },
      {
        title: 'two stars',
        mechanism: 'target-combine',
        parameters: { leastStars: 2, mostStars: 2, hands: 3, intermediates: 'natural' },
        ages: [9, 12],
        players: { min: 1, max: 5 },
        minutes: 18,
      },
    ],
  },
  {
    title: 'Ten O’Clock Train',
    bin: 'Add and subtract',
    source: 'made',
    condition: 'good',
    rules: ['The train leaves on the dot, neither sooner nor later.'],
    variants: [
      {
        title: 'three cards',
        mechanism: 'target-combine',
        parameters: { numbers: 3, target: 10, lowest: 1, highest: 9, operations: ['add', 'subtract'], intermediates: 'natural', hands: 6 },
        ages: [6, 9],
        players: { min: 1, max: 5 },
        minutes: 12,
      },
      {
        title: 'four cards',
        mechanism: 'target-combine',
        parameters: { numbers: 4, target: 10, lowest: 1, highest: 9, operations: ['add', 'subtract'], intermediates: 'natural', hands: 5 },
        ages: [7, 10],
        players: { min: 1, max: 5 },
        minutes: 15,
      },
    ],
  },
  {
    title: 'Lamp Count',
    bin: 'Counting and seeing',
    source: 'free',
    rules: ['Hang counters on the lamp card, one for each call.', 'Count them back into the tray together.'],
    variants: [
      {
        title: 'twenty lamps',
        ages: [4, 6],
        minutes: 10,
        helper: 'nearby',
        declared: [
          { skill: 'count-to-20', perTenMinutes: 14 },
          { skill: 'count-to-10', perTenMinutes: 8 },
          { skill: 'read-to-20', perTenMinutes: 6 },
        ],
        materials: [
          { kind: 'two-colour-counters', quantity: 20 },
          { kind: 'dice-tray', quantity: 1 },
        ],
      },
    ],
  },
  {
    title: 'Ladder of Tens',
    bin: 'Place value',
    source: 'made',
    condition: '2 rods missing',
    rules: ['Draw a card, build the number with rods and cubes.', 'Say it: four tens and six.', 'Whose number is more? Put them in order.'],
    variants: [
      {
        title: 'to a hundred',
        ages: [6, 8],
        minutes: 15,
        helper: 'nearby',
        preparationMinutes: 5,
        steps: [
          { sort: 'print', what: 'one sheet of number cards', minutes: 1 },
          { sort: 'cut', what: 'the cards', minutes: 4 },
        ],
        uses: [{ what: 'Sheets of card', quantity: 1, cost: 0.2 }],
        declared: [
          { skill: 'tens-and-ones', perTenMinutes: 15 },
          { skill: 'compare-to-100', perTenMinutes: 8 },
          { skill: 'write-to-120', perTenMinutes: 6 },
        ],
        materials: [
          { kind: 'tens-rods', quantity: 20 },
          { kind: 'linking-cubes', quantity: 40 },
        ],
      },
      {
        title: 'to a thousand',
        ages: [7, 10],
        minutes: 15,
        helper: 'nearby',
        preparationMinutes: 5,
        declared: [
          { skill: 'hundreds', perTenMinutes: 12 },
          { skill: 'compare-to-1000', perTenMinutes: 8 },
          { skill: 'ten-hundred-more', perTenMinutes: 6 },
        ],
        materials: [
          { kind: 'tens-rods', quantity: 20 },
          { kind: 'hundred-squares', quantity: 10 },
        ],
      },
    ],
  },
  {
    title: 'Wheel Turns',
    bin: 'Groups and times',
    source: 'made',
    rules: ['Turn the wheel, read the number, say its product.', 'Ask for twos, fives or tens before you turn.'],
    variants: [
      {
        title: 'twos, fives and tens',
        ages: [7, 10],
        minutes: 12,
        declared: [
          { skill: 'times-2', perTenMinutes: 12 },
          { skill: 'times-5', perTenMinutes: 12 },
          { skill: 'times-10', perTenMinutes: 10 },
          { skill: 'equal-groups', perTenMinutes: 5 },
        ],
        materials: [
          { kind: 'ten-sided-die', quantity: 1 },
          { kind: 'recording-sheet', quantity: 1 },
        ],
      },
      {
        title: 'threes and fours',
        ages: [8, 11],
        minutes: 12,
        declared: [
          { skill: 'times-3-4', perTenMinutes: 18 },
          { skill: 'times-turn', perTenMinutes: 6 },
        ],
        materials: [
          { kind: 'ten-sided-die', quantity: 1 },
          { kind: 'recording-sheet', quantity: 1 },
        ],
      },
    ],
  },
  {
    title: 'Clockwork Steps',
    bin: 'Groups and times',
    source: 'bought',
    condition: 'good',
    rules: [
      'Wind the spring: throw the die.',
      'Step along by twos, fives or tens and say every number.',
      'Meet on a number: shake hands and go on.',
    ],
    variants: [
      {
        title: 'by twos and tens',
        ages: [6, 8],
        minutes: 12,
        helper: 'alone',
        declared: [
          { skill: 'skip-2', perTenMinutes: 14 },
          { skill: 'skip-10', perTenMinutes: 14 },
        ],
        materials: [
          { kind: 'hundred-chart', quantity: 1 },
          { kind: 'pegs', quantity: 4 },
          { kind: 'pip-die', quantity: 1 },
        ],
      },
      {
        title: 'by fives',
        ages: [6, 9],
        minutes: 12,
        helper: 'alone',
        declared: [{ skill: 'skip-5', perTenMinutes: 18 }],
        materials: [
          { kind: 'hundred-chart', quantity: 1 },
          { kind: 'pegs', quantity: 4 },
          { kind: 'pip-die', quantity: 1 },
        ],
      },
    ],
  },
];

export interface DemoLearner {
  readonly nickname: string;
  /** Age in months on the day of seeding. */
  readonly ageMonths: number;
  readonly group: string;
  /** How far ahead of age, in years, by strand. */
  readonly ahead: Readonly<Record<string, number>>;
  readonly supportsInUse?: readonly string[];
  /** Tools this child keeps for good. */
  readonly permanentSupports?: readonly string[];
  readonly framework?: 'us' | 'england';
  readonly actions?: readonly string[];
}

export const demoLearners: readonly DemoLearner[] = [
  { nickname: 'Lark', ageMonths: 62, group: 'Lower lamps', ahead: { counting: 0.3, bonds: -0.2 } },
  { nickname: 'Wren', ageMonths: 66, group: 'Lower lamps', ahead: { shapes: 0.5, add: 0.6, bonds: 0.5 } },
  {
    nickname: 'Rowan',
    ageMonths: 71,
    group: 'Lower lamps',
    ahead: { counting: 0.2, add: 0.3 },
    actions: ['Sits where the numerals are the right way up'],
  },
  { nickname: 'Teasel', ageMonths: 78, group: 'Lower lamps', ahead: { bonds: 0.2, subtract: -0.4 } },
  {
    nickname: 'Moth',
    ageMonths: 82,
    group: 'Lower lamps',
    ahead: { counting: -0.5, add: -0.6, bonds: -0.6 },
    actions: ['Large, uncluttered print', 'A movement break after each round'],
  },
  { nickname: 'Linnet', ageMonths: 86, group: 'Middle lamps', ahead: { add: 0.4, 'place-value': 0.3 } },
  { nickname: 'Sorrel', ageMonths: 93, group: 'Middle lamps', ahead: { bonds: -0.8, subtract: -0.7 }, supportsInUse: ['bead-frame'] },
  { nickname: 'Tansy', ageMonths: 97, group: 'Middle lamps', ahead: { multiply: 0.8, add: 0.3 }, framework: 'england' },
  { nickname: 'Bracken', ageMonths: 101, group: 'Middle lamps', ahead: { multiply: 0.4, subtract: -0.5 } },
  {
    nickname: 'Sedge',
    ageMonths: 107,
    group: 'Middle lamps',
    ahead: { fractions: -0.4, 'place-value': -0.5 },
    permanentSupports: ['hundred-chart'],
  },
  { nickname: 'Robin', ageMonths: 112, group: 'Upper lamps', ahead: { multiply: -0.3, add: 0.2 } },
  { nickname: 'Hazel', ageMonths: 119, group: 'Upper lamps', ahead: { multiply: -0.6 } },
  { nickname: 'Alder', ageMonths: 126, group: 'Upper lamps', ahead: { fractions: 0.4, multiply: 0.3 }, framework: 'england' },
  { nickname: 'Yarrow', ageMonths: 133, group: 'Upper lamps', ahead: { fractions: -0.6, measuring: 0.3 } },
];

/** What is in the cupboard. */
export const demoStock: Readonly<Record<string, number>> = {
  'pip-die': 6,
  'ten-sided-die': 3,
  'twelve-sided-die': 2,
  'number-deck-1-10': 3,
  'digit-cards-0-9': 2,
  'pair-cards': 2,
  'dot-cards': 1,
  'ten-frame-cards': 2,
  'target-cards': 2,
  'two-colour-counters': 40,
  pegs: 8,
  'linking-cubes': 60,
  'tens-rods': 18,
  'hundred-squares': 10,
  'bead-frame': 2,
  'hundred-chart': 2,
  'dice-tray': 3,
  'column-sheet': 20,
  'recording-sheet': 20,
  'card-stand': 4,
  'playing-cards': 2,
  'operation-die': 2,
  'number-line': 3,
  'hex-board': 1,
  'track-board': 3,
  dominoes: 1,
  'edge-tiles': 1,
  'balance-beam': 1,
  'clock-face': 2,
  coins: 60,
  'fraction-strips': 4,
  'sand-timer': 2,
  'grid-cards': 12,
  'chain-card-set': 2,
  'story-card-set': 1,
  'task-card-set': 2,
  'match-halves': 2,
  'call-cards': 2,
  'unit-tiles': 60,
  'mirror-tile': 3,
  ruler: 8,
  'fact-wheel': 2,
  'number-cards': 3,
  'special-cards': 2,
  'wild-cards': 1,
  'four-sided-die': 2,
  bag: 2,
  cup: 4,
  'sorting-things': 90,
  'place-cards': 1,
  'number-board': 1,
};

/** Units and seasons of the invented shelf. */
export const demoTags: Readonly<Record<string, readonly string[]>> = {
  'unit 3': ['Two Lamps', 'Lever Frame', 'Ten O’Clock Train', 'Ladder of Tens', 'Hedge Bees'],
  winter: ['Weather Board', 'Rain Gauge', 'Lamp Count'],
};

/** Who asks for which game. */
export const demoLikings: Readonly<Record<string, readonly string[]>> = {
  'Lever Frame': ['Wren', 'Linnet', 'Robin'],
  'Four to the Bell': ['Hazel'],
};

/** What a piece costs, in whatever money. */
export const demoPrices: Readonly<Record<string, number>> = {
  'pip-die': 0.6,
  'number-deck-1-10': 4,
  'linking-cubes': 0.15,
  'tens-rods': 0.4,
};

/** Codes for last week, this one and the two after. */
export const demoPacing: readonly string[] = ['K.OA.A.4', '1.OA.C.6; 2.OA.B.2', '1.NBT.B.2; 3.OA.C.7', '2.NBT.B.5'];
