import { type ActName, acts } from '../items/acts';
import { firstOf, secondOf } from '../items/acts/act';
import { fractionText, numeratorOf, denominatorOf } from '../items/fraction';
import { resultOf, type Representation } from '../items/item';

/** Halves whose match is an act of its own: what stands on both, and which pairs are used. */
export interface ActHalves {
  readonly op: ActName;
  readonly rep: Representation;
  /** Whether the range of the version bounds the answer. */
  readonly ranged: boolean;
  readonly keep: (a: number, b: number) => boolean;
  readonly both: string;
  readonly pair: (a: number, b: number) => readonly [string, string];
  readonly tool: string;
}
const all = (): boolean => true;
const decimal = (n: number): string => String(Number((n / 1000).toFixed(3)));
const ratio = (code: number): string => `${firstOf(code)} : ${secondOf(code)}`;
const result = (op: ActName, a: number, b: number): number => resultOf(op, a, b);
const mixed = (code: number): string =>
  `${Math.floor(numeratorOf(code) / denominatorOf(code))} ${numeratorOf(code) % denominatorOf(code)}/${denominatorOf(code)}`;

function half(op: ActName, both: string, pair: ActHalves['pair'], tool: string, more: Partial<ActHalves> = {}): ActHalves {
  return { op, rep: 'numerals', ranged: false, keep: all, both, pair, tool, ...more };
}

export const actHalves = {
  'fraction-of-amount': half(
    'fraction-of',
    'a fraction of an amount, and what it is',
    (a, b) => [`${fractionText(a)} of ${b}`, String(result('fraction-of', a, b))],
    'Share the amount into as many parts as the bottom number says.',
    { ranged: true },
  ),
  'percent-of-amount': half(
    'percent-of',
    'percent of an amount, and what it is',
    (a, b) => [`${a} % of ${b}`, String((a * b) / 100)],
    'Find ten percent first.',
    { ranged: true },
  ),
  'fraction-and-percent': half(
    'percent-name',
    'a fraction, and as much in percent',
    (a) => [fractionText(a), `${result('percent-name', a, 0)} %`],
    'Colour it on a square of a hundred.',
  ),
  'simplest-form': half(
    'simplify-fraction',
    'a fraction, and its simplest form',
    (a) => [fractionText(a), fractionText(result('simplify-fraction', a, 0))],
    'Lay fraction strips under each other.',
  ),
  'improper-and-mixed': half(
    'mixed-number',
    'a fraction of more than one whole, and how many wholes and parts it is',
    (a) => [fractionText(a), mixed(a)],
    'Lay the parts and close the wholes.',
    { keep: (a) => numeratorOf(a) % denominatorOf(a) !== 0 },
  ),
  'whole-times-fraction': half(
    'times-fraction',
    'a fraction several times, and what it makes',
    (a, b) => [`${b} × ${fractionText(a)}`, fractionText(result('times-fraction', a, b))],
    'Lay the piece so many times.',
  ),
  'fraction-products': half(
    'multiply-fraction',
    'two fractions to multiply, and what they make',
    (a, b) => [`${fractionText(a)} × ${fractionText(b)}`, fractionText(result('multiply-fraction', a, b))],
    'Fold a paper one way, then the other.',
  ),
  'fraction-quotients': half(
    'divide-fraction',
    'a division by a fraction, and what comes out',
    (a, b) => [`${fractionText(a)} ÷ ${fractionText(b)}`, fractionText(result('divide-fraction', a, b))],
    'See how often the piece fits.',
  ),
  'division-and-fraction': half(
    'divide-to-fraction',
    'a division, and the fraction it makes',
    (a, b) => [`${a} ÷ ${b}`, fractionText(result('divide-to-fraction', a, b))],
    'Share strips of paper and cut.',
  ),
  'equal-ratios': half(
    'ratio-equal',
    'a ratio, and an equal one',
    (a, b) => [ratio(a), ratio(b)],
    'Lay it with counters of two colours, then again.',
    { keep: (a, b) => result('ratio-equal', a, b) === 1 },
  ),
  rates: half(
    'unit-rate',
    'how much for several, and how much for one',
    (a, b) => [`${a} for ${b}`, `${a / b} for one`],
    'Share it out between them.',
    { ranged: true },
  ),
  powers: half(
    'power',
    'a power, and what it is worth',
    (a, b) => [`${a}${b === 2 ? '²' : '³'}`, String(a ** b)],
    'Lay a square, or build a cube.',
  ),
  'plus-and-times': half(
    'plus-times',
    'an expression with plus and times, and what it makes',
    (a, b) => [`${a} + ${firstOf(b)} × ${secondOf(b)}`, String(result('plus-times', a, b))],
    'Draw the rows of the product first.',
    { ranged: true },
  ),
  brackets: half(
    'times-bracket',
    'an expression with brackets, and what it makes',
    (a, b) => [`${a} × (${firstOf(b)} + ${secondOf(b)})`, String(result('times-bracket', a, b))],
    'Work out what stands in the brackets first.',
    { ranged: true },
  ),
  letters: half(
    'letter-value',
    'an equation with a letter, and what the letter stands for',
    (a, b) => [`${a}n = ${b}`, `n = ${b / a}`],
    'Share the total into as many parts.',
  ),
  scales: half('read-scale', 'a scale with its pointer, and what it shows', (a) => ['◔', `${a}`], 'Count the marks between two numbers.', {
    rep: 'picture',
    keep: (a, b) => a > 0 && b >= 10,
  }),
  thermometers: half('read-scale', 'a thermometer, and what it shows', (a) => ['|', `${a < 0 ? `−${-a}` : a}°`], 'Count down from zero.', {
    rep: 'number-line',
    keep: (a, b) => a <= 40 && b === 1,
  }),
  units: half(
    'convert-unit',
    'an amount in large units, and as many small ones',
    (a, b) => [`${a} large`, `${a * b} small`],
    'Lay one large unit beside its small ones.',
    { ranged: true },
  ),
  'shape-and-name': half(
    'shape-name',
    'a shape, lying any way, and its name',
    () => ['△', 'triangle'],
    'Turn the card until it lies as you know it.',
    { rep: 'picture', keep: (a, b) => a <= 15 && b === 0 },
  ),
  'solid-and-name': half('shape-name', 'a flat shape or a solid, and its name', () => ['▣', 'cube'], 'Hold the real thing.', {
    rep: 'picture',
    keep: (a, b) => (a > 15 || [0, 2, 6, 7].includes(a)) && b === 0,
  }),
  'line-graphs': half(
    'line-graph',
    'a point on a line graph, and its value',
    (a) => ['⟋', String(a)],
    'Lay a ruler from the point to the axis.',
    { keep: (_a, b) => b === 5 },
  ),
  'line-plots': half(
    'line-plot',
    'a line plot, and how many marks stand over a number',
    (a, b) => [`over ${decimal(a * 250)}`, String(b)],
    'Put a finger on each mark.',
    { rep: 'picture' },
  ),
  means: half(
    'mean',
    'numbers with their sum, and their mean',
    (a, b) => [`${b} numbers, ${a} in all`, String(a / b)],
    'Build towers and make them level.',
    { ranged: true },
  ),
  'decimal-sums': half(
    'add-decimal',
    'two decimals to add, and what they make',
    (a, b) => [`${decimal(a)} + ${decimal(b)}`, decimal(a + b)],
    'Write them under each other, point under point.',
    { keep: (a, b) => a % 10 === 0 && b % 10 === 0 && a + b < 8000 },
  ),
  'decimal-products': half(
    'multiply-decimal',
    'a decimal several times, and what it makes',
    (a, b) => [`${decimal(b)} × ${decimal(a)}`, decimal((a * b) / 1000)],
    'Think of tenths as pieces.',
    { keep: (a, b) => a % 100 === 0 && b >= 2000 },
  ),
  'decimals-rounded': half(
    'round-decimal',
    'a decimal, and the nearest tenth or whole',
    (a, b) => [decimal(a), decimal(result('round-decimal', a, b))],
    'Find it on a number line between its neighbours.',
    { keep: (a, b) => a % b !== 0 && b >= 100 },
  ),
  'decimal-names': half(
    'read-decimal',
    'a decimal, and its name in words',
    (a) => [decimal(a), `${a % 100 === 0 ? `${a / 100} tenths` : a % 10 === 0 ? `${a / 10} hundredths` : `${a} thousandths`}`],
    'Show it on a square of a hundred.',
    { rep: 'words' },
  ),
  'common-factors': half(
    'common-factor',
    'two numbers, and their greatest common factor',
    (a, b) => [`${a}, ${b}`, String(result('common-factor', a, b))],
    'List the factors of both.',
  ),
  'common-multiples': half(
    'common-multiple',
    'two numbers, and their least common multiple',
    (a, b) => [`${a}, ${b}`, String(result('common-multiple', a, b))],
    'Count on in the larger one.',
  ),
  'way-round': half(
    'perimeter',
    'a rectangle, and how far it is round',
    (a, b) => [`${a} by ${b}`, String(2 * (a + b))],
    'Walk a finger along each side.',
    { rep: 'shape', ranged: true },
  ),
  'triangle-areas': half(
    'area-triangle',
    'a triangle with base and height, and its area',
    (a, b) => [`base ${a}, height ${b}`, String((a * b) / 2)],
    'Draw the rectangle round it.',
    { rep: 'shape', ranged: true },
  ),
  'slanting-areas': half(
    'area-slanting',
    'a slanting shape with base and height, and its area',
    (a, b) => [`base ${a}, height ${b}`, String(a * b)],
    'Cut the corner off and put it on the other side.',
    { rep: 'shape', ranged: true },
  ),
  'joined-areas': half(
    'area-joined',
    'a shape of two parts, and its area',
    (a, b) => [`${a} and ${b} squares`, String(a + b)],
    'Draw the line where it can be cut.',
    { rep: 'shape', ranged: true },
  ),
  estimates: half(
    'estimate-product',
    'two numbers to multiply, and about what they make',
    (a, b) => [`${a} × ${b}`, `about ${result('estimate-product', a, b)}`],
    'Round both to tens first.',
  ),
  'three-addends': half(
    'sum-of-three',
    'three numbers to add, and what they make',
    (a, b) => [`${a} + ${firstOf(b)} + ${secondOf(b)}`, String(result('sum-of-three', a, b))],
    'Look for two that make ten.',
    { ranged: true },
  ),
  'missing-angles': half(
    'angle-missing',
    'an angle, and what is missing to the whole',
    (a, b) => [`${b}° of ${a}°`, `${a - b}°`],
    'Fold a right angle and lay it beside.',
    { keep: (a, b) => a === 180 && b % 10 === 0 },
  ),
  'day-hours': half(
    'clock-24',
    'a time counted through the whole day, and the same on a clock',
    (a) => [
      `${Math.floor(a / 60)}:${String(a % 60).padStart(2, '0')}`,
      `${Math.floor((a % 720) / 60) || 12}:${String(a % 60).padStart(2, '0')}`,
    ],
    'Take twelve off the hours.',
    { rep: 'clock', keep: (a) => a >= 780 && a % 15 === 0 },
  ),
} as const satisfies Readonly<Record<string, ActHalves>>;

export type ActHalf = keyof typeof actHalves;
export const actHalfNames = Object.keys(actHalves) as [ActHalf, ...ActHalf[]];

/** Acts whose answer is short for what stands on the half: the first number tells them apart. */
const answersAlike: readonly ActHalf[] = ['improper-and-mixed', 'equal-ratios'];

/**
 * Every match of an act within a range of answers, one for each answer, in a fixed mixed order so that
 * the first few are not all alike.
 */
export function matchesOf(name: ActHalf, lowest: number, highest: number): (readonly [a: number, b: number])[] {
  const { op, ranged, keep }: ActHalves = actHalves[name];
  const seen = new Set<number>();
  return acts[op].operands
    .filter(([a, b]) => {
      const r = resultOf(op, a, b);
      return keep(a, b) && (!ranged || (r >= lowest && r <= highest));
    })
    .map((m, i) => [m, (i * 7919) % 10_007] as const)
    .sort((x, y) => x[1] - y[1])
    .map(([m]) => m)
    .filter(([a, b]) => {
      const answer = answersAlike.includes(name) ? a : resultOf(op, a, b);
      return !seen.has(answer) && Boolean(seen.add(answer));
    });
}
/** Acts whose answer tells the task: what can be called out and covered. */
export const callableActs = actHalfNames.filter((name) => !answersAlike.includes(name)) as unknown as readonly [
  Exclude<ActHalf, 'improper-and-mixed' | 'equal-ratios'>,
  ...Exclude<ActHalf, 'improper-and-mixed' | 'equal-ratios'>[],
];
export const isActHalf = (name: string): name is ActHalf => Object.hasOwn(actHalves, name);
