import { chainCards } from '../../../mechanisms/chain-cards';
import { DEFAULTS, SCHEMA, type ChainParameters } from '../../../mechanisms/chain-cards/parameters';
import { answersOf, type Loop, loopProblem, newLoop, writeLoop } from '../../../mechanisms/chain-cards/rules';
import { shuffle } from '../../../shared/rng';
import { type Box, line, text } from '../../box';
import { boxedParagraph } from '../../letters';
import { amount, inWords } from '../../pictures/amount';
import { numeral } from '../../pictures/numeral';
import { createRng } from '../../../shared/rng';
import { cardSizes, sheetKind } from '../../sheetKind';

interface Made {
  readonly loop: Loop;
  /** Card printed at each place: in order they would be a crib. */
  readonly order: readonly number[];
}
const signs = ['+', '−', '×', '÷'];

export default sheetKind<ChainParameters, Made>({
  id: 'chain-cards',
  title: 'Chain cards',
  about: '“I have …, who has …?” in one loop that closes once.',
  group: 'cards',
  forFamilies: ['chain-cards'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => chainCards.check(p),
  make: (p, { rng }) => {
    const loop = newLoop(p.cards);
    writeLoop(p, loop, Int32Array.from(answersOf(p)), rng);
    const order = Array.from({ length: p.cards }, (_, i) => i);
    shuffle(rng, order, order.length);
    return { loop, order };
  },
  verify: ({ loop, order }) => {
    const wrong = loopProblem(loop);
    return [...(wrong ? [`The loop ${wrong}.`] : []), ...(new Set(order).size === loop.answer.length ? [] : ['A card is printed twice.'])];
  },
  checked: ({ order }) => `${order.length} cards; from any card the questions lead through all of them before the first comes again.`,
  draw: ({ loop, order }, p) => ({
    pieces: [
      {
        ...cardSizes.wide,
        count: order.length,
        marked: true,
        face: (n, { w, h }) => face(loop, order[n]!, p, w, h),
        back: () => [],
      },
    ],
  }),
  key: ({ loop }) => [...loop.answer].map((a, i) => `${a} → ${question(loop, i)}`),
});

const question = (loop: Loop, i: number): string => `${loop.a[i]!} ${signs[loop.op[i]!]!} ${loop.b[i]!}`;

/** A question in words: doubles and halves are named, the rest is read out. */
function inSentence(loop: Loop, i: number): string {
  const [a, b] = [loop.a[i]!, loop.b[i]!];
  const say = (n: number): string => (n <= 100 ? inWords(n) : String(n));
  switch (loop.op[i]) {
    case 0:
      return b === 10 ? `ten more than ${say(a)}` : `${say(a)} and ${say(b)}`;
    case 1:
      return b === 10 ? `ten less than ${say(a)}` : `${say(a)} take away ${say(b)}`;
    case 2:
      return b === 2 ? `double ${say(a)}` : `${say(a)} times ${say(b)}`;
    default:
      return b === 2 ? `half of ${say(a)}` : `${say(a)} shared by ${say(b)}`;
  }
}

function face(loop: Loop, i: number, p: ChainParameters, w: number, h: number): Box[] {
  const asks: Box[] =
    p.shows === 'words'
      ? boxedParagraph(w * 0.5, h * 0.3, w * 0.46, h * 0.6, `${inSentence(loop, i)}?`, 20, 12, { bold: true })
      : p.shows === 'dots' && loop.a[i]! <= 20 && loop.b[i]! <= 20 && loop.op[i]! < 2
        ? [
            ...amount('dots', loop.a[i]!, w * 0.5, h * 0.3, w * 0.2, h * 0.6, createRng(i)),
            text(w * 0.69, h * 0.45, 8, 10, signs[loop.op[i]!]!, 22, { bold: true }),
            ...amount('dots', loop.b[i]!, w * 0.77, h * 0.3, w * 0.2, h * 0.6, createRng(i)),
          ]
        : numeral(w * 0.52, h * 0.38, w * 0.44, h * 0.4, question(loop, i), { most: 44 });
  return [
    text(10, 5, w * 0.4, 6, 'I have', 14, { align: 'start', fill: 'soft' }),
    ...numeral(4, h * 0.3, w * 0.38, h * 0.5, String(loop.answer[i]!), { most: 70 }),
    line(w * 0.46, 5, w * 0.46, h - 5, { line: 'pale', width: 0.3, frame: true }),
    text(w * 0.5, 5, w * 0.38, 6, 'Who has', 14, { align: 'start', fill: 'soft' }),
    ...asks,
  ];
}
