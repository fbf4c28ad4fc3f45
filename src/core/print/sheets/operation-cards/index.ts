import { parameters, someOf, whole } from '../../../play/parameters';
import { fitted } from '../../letters';
import { cardSizes, sheetKind } from '../../sheetKind';

const signs = [
  'plus',
  'minus',
  'times',
  'divide',
  'equals',
  'less',
  'more',
  'at-most',
  'at-least',
  'not-equal',
  'bracket-open',
  'bracket-close',
  'root',
] as const;
const signText: Readonly<Record<(typeof signs)[number], string>> = {
  plus: '+',
  minus: '−',
  times: '×',
  divide: '÷',
  equals: '=',
  less: '<',
  more: '>',
  'at-most': '≤',
  'at-least': '≥',
  'not-equal': '≠',
  'bracket-open': '(',
  'bracket-close': ')',
  root: '√',
};
/** Signs that are another one, or nothing, upside down: below them stands how they are read. */
const saidBelow: Partial<Record<(typeof signs)[number], string>> = {
  less: 'is less than',
  more: 'is more than',
  'at-most': 'is at most',
  'at-least': 'is at least',
  'bracket-open': 'opens',
  'bracket-close': 'closes',
  root: 'root of',
};
const { SCHEMA, DEFAULTS } = parameters({
  signs: someOf('Signs', signs, ['plus', 'minus', 'times', 'divide', 'equals']),
  copies: whole('Of each', 1, 20, 4),
});

export default sheetKind<typeof DEFAULTS, readonly (typeof signs)[number][]>({
  id: 'operation-cards',
  title: 'Operation cards',
  about: 'Signs to lay between number cards.',
  group: 'cards',
  forFamilies: ['equation-draw', 'target-combine'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => p.signs.flatMap((s) => Array.from({ length: p.copies }, () => s)),
  verify: (made, p) =>
    p.signs.flatMap((s) => (made.filter((x) => x === s).length === p.copies ? [] : [`${signText[s]} is not there ${p.copies} times.`])),
  checked: (made, p) => `${made.length} cards, ${p.copies} of each sign; words show which way up those lie that could be read wrong.`,
  draw: (made) => ({
    pieces: [
      {
        ...cardSizes.small,
        count: made.length,
        marked: true,
        // Words and no line: a line below a sign makes another sign of it.
        face: (n, { w, h }) => [
          fitted(6, h * 0.25, w - 12, h * 0.42, signText[made[n]!], { most: 90, bold: true }),
          ...(saidBelow[made[n]!] ? [fitted(4, h * 0.8, w - 8, 4, saidBelow[made[n]!]!, { most: 11, fill: 'soft' })] : []),
        ],
        back: () => [],
      },
    ],
  }),
});
