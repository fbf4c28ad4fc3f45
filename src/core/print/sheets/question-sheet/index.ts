import { oneOf, parameters } from '../../../play/parameters';
import { impossible } from '../../../play/refuse';
import { type Box, line, rect, text } from '../../box';
import { boxedParagraph, clipped } from '../../letters';
import { type Drawing, leastYoungText, sheetKind } from '../../sheetKind';
import { valueOf } from '../match-halves';

const { SCHEMA: ASKED, DEFAULTS: GIVEN } = parameters({
  name: oneOf('A line for the name', ['on-the-back', 'at-the-top', 'none'], 'on-the-back'),
});
const lines = (title: string, most: number) => ({
  type: 'array',
  maxItems: 20,
  items: { type: 'string', minLength: 1, maxLength: most },
  title,
});
const SCHEMA = {
  ...ASKED,
  properties: {
    ...ASKED.properties,
    title: { type: 'string', maxLength: 80, title: 'What it is about' },
    questions: lines('Questions', 120),
    answers: lines('Answers', 40),
  },
} as const;
const DEFAULTS: typeof GIVEN & { readonly title: string; readonly questions: readonly string[]; readonly answers: readonly string[] } = {
  ...GIVEN,
  title: 'Across a ten',
  questions: ['8 + 5', '9 + 4', '7 + 6', '13 − 5', '12 − 7', '6 + 8', '15 − 9', '9 + 9', '11 − 4', '7 + 8'],
  answers: ['13', '13', '13', '8', '5', '14', '6', '18', '7', '15'],
};
type P = typeof DEFAULTS;
interface Made {
  readonly items: readonly { readonly question: string; readonly answer: string }[];
}

export default sheetKind<P, Made>({
  id: 'question-sheet',
  title: 'Check-in sheet',
  about: 'Ten or so questions of one step, to be done alone: no grade, the name on the back, the key apart.',
  group: 'to write on',
  forFamilies: ['task-hunt', 'story-cards'],
  parametersSchema: SCHEMA as never,
  example: DEFAULTS,
  check: (p) =>
    p.questions.length === 0
      ? impossible('questions', 'A sheet needs one question at least.')
      : p.questions.length !== p.answers.length
        ? impossible('answers', `There are ${p.questions.length} questions and ${p.answers.length} answers; each question has one.`)
        : null,
  make: (p) => ({ items: p.questions.map((question, i) => ({ question, answer: p.answers[i]! })) }),
  verify: ({ items }, p) => [
    ...(items.length === p.questions.length ? [] : ['A question is missing.']),
    ...(new Set(items.map((i) => i.question)).size === items.length ? [] : ['A question is asked twice.']),
    ...items.flatMap((i, n) => {
      // The answer is put where it is asked for; what is no sum is the asker's own word.
      const said = i.question.includes('?') ? i.question.replace('?', i.answer) : `${i.question} = ${i.answer}`;
      const [left, right] = said.split(' = ').map(valueOf);
      return left == null || right == null || left === right ? [] : [`${said} is not true, so question ${n + 1} has another answer.`];
    }),
  ],
  checked: ({ items }) => `${items.length} questions, none twice; those of plain numbers were worked out anew.`,
  draw: ({ items }, p) => ({
    whole: {
      count: 1,
      page: (_n, at) => page(items, p, at),
      ...(p.name === 'on-the-back' ? { back: (_n: number, { w }: Drawing) => name(w, 20) } : {}),
    },
  }),
  key: ({ items }) => items.map((i, n) => `${n + 1}: ${i.answer}`),
});

const name = (w: number, y: number): Box[] => [
  text(0, y, 22, 8, 'Name', 16, { align: 'start', frame: true }),
  line(20, y + 8, w * 0.6, y + 8, { line: 'soft', width: 0.3, frame: true }),
];

function page(items: Made['items'], p: P, { w, h, large }: Drawing): Box[] {
  const top = p.name === 'at-the-top' ? 30 : 16;
  const columns = items.some((i) => i.question.length > 22) || large ? 1 : 2;
  const rows = Math.ceil(items.length / columns);
  const [cw, ch] = [w / columns, Math.min(columns === 1 ? 30 : 42, (h - top) / rows)];
  return [
    text(0, 0, w, 10, clipped(p.title, w, 18, true), 18, { align: 'start', bold: true }),
    ...(p.name === 'at-the-top' ? name(w, 13) : []),
    ...items.flatMap((i, n): Box[] => {
      const [x, y] = [Math.floor(n / rows) * cw, top + (n % rows) * ch];
      const room = columns === 1 ? w - 56 : cw - 44;
      return [
        text(x, y + ch * 0.2, 8, ch * 0.4, String(n + 1), 11, { align: 'start', fill: 'soft', frame: true }),
        ...boxedParagraph(x + 9, y + 2, room, ch - 6, i.question, large ? 26 : 20, leastYoungText, { align: 'start' }),
        rect(x + 9 + room + 2, y + (ch - Math.min(16, ch - 6)) / 2, columns === 1 ? 42 : 28, Math.min(16, ch - 6), {
          line: 'ink',
          width: 0.4,
          frame: true,
        }),
      ];
    }),
  ];
}
