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
  checked: (made, p) => `${made.length} cards, ${p.copies} of each sign; a line shows which way up they lie.`,
  draw: (made) => ({
    pieces: [
      {
        ...cardSizes.small,
        count: made.length,
        marked: true,
        // < and > are another sign upside down, so the foot of every card is drawn.
        face: (n, { w, h }) => [
          fitted(6, h * 0.25, w - 12, h * 0.42, signText[made[n]!], { most: 90, bold: true }),
          { kind: 'rect', x: w * 0.3, y: h * 0.86, w: w * 0.4, h: 0.7, fill: 'ink', frame: true },
        ],
        back: () => [],
      },
    ],
  }),
});
