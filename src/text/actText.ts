import type { ActName } from '../core/items/acts';
import { firstOf, secondOf } from '../core/items/acts/act';
import { families, questions, type ShapeQuestion } from '../core/items/acts/shapes';
import { shapeText } from '../core/items/acts/shapeWords';
import { fractionText } from '../core/items/fraction';

/** How an act is named, said with its answer in brackets, and asked on paper; null where only things can ask it. */
interface Said {
  readonly words: string;
  readonly say: (a: number, b: number, result: number) => string;
  readonly ask: ((a: number, b: number) => string) | null;
}

const plain = (n: number): string => String(n).replace('-', '−');
/** Thousandths as a decimal, with as many places as it needs: 250 is 0.25. */
export const decimalText = (thousandths: number): string => plain(Number((thousandths / 1000).toFixed(3)));
const ratio = (code: number): string => `${firstOf(code)} : ${secondOf(code)}`;
const time24 = (m: number): string => `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`;
const time12 = (m: number): string => `${Math.floor(m / 60) || 12}:${String(m % 60).padStart(2, '0')}`;
export const dayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
const day = (n: number): string => dayNames[((n % 7) + 7) % 7]!;

const asked: Readonly<Record<ShapeQuestion, string>> = {
  sides: 'How many sides has',
  corners: 'How many corners has',
  'right-angles': 'How many right angles has',
  'all-sides-alike': 'Are all sides alike in',
  'parallel-pairs': 'How many pairs of parallel sides has',
  'mirror-lines': 'How many lines of symmetry has',
  curved: 'Is there a curve on',
  solid: 'Is it a solid:',
  faces: 'How many faces has',
  edges: 'How many edges has',
  'square-sides': 'Are there sides square to each other in',
};
const yesNo: readonly ShapeQuestion[] = ['all-sides-alike', 'curved', 'solid', 'square-sides'];
export const questionOf = (q: number): string => asked[questions[q] ?? 'sides'];
export const answerText = (q: number, result: number): string =>
  yesNo.includes(questions[q] ?? 'sides') ? (result ? 'yes' : 'no') : String(result);
const familyWords: Readonly<Record<(typeof families)[number], string>> = {
  triangle: 'a triangle',
  'four-sided': 'a four-sided shape',
  trapezoid: 'a shape with a pair of parallel sides',
  parallelogram: 'a parallelogram',
  rectangle: 'a rectangle',
  rhombus: 'a rhombus',
  square: 'a square',
  'right-triangle': 'a right-angled triangle',
  'equal-triangle': 'a triangle with equal sides',
  regular: 'a regular shape',
};
export const familyText = (index: number): string => familyWords[families[index] ?? 'four-sided'];
export const angleNames = [
  'less than a right angle',
  'a right angle',
  'more than a right angle',
  'a straight angle',
  'more than straight',
  'a full turn',
] as const;

export const actText: Readonly<Record<ActName, Said>> = {
  'shape-name': { words: 'naming shapes', say: (a) => `names [${shapeText(a)}]`, ask: null },
  'shape-question': {
    words: 'telling what a shape has',
    say: (a, b, r) => `${questionOf(b)} ${shapeText(a)}? [${answerText(b, r)}]`,
    ask: (a, b) => `${questionOf(b)} ${shapeText(a)}?`,
  },
  'shape-family': {
    words: 'telling families of shapes',
    say: (a, b, r) => `${shapeText(a)} is ${r ? '' : 'not '}${familyText(b)}`,
    ask: (a, b) => `Is ${shapeText(a)} ${familyText(b)}?`,
  },
  'plot-point': { words: 'finding points', say: (a, b) => `finds (${plain(a)}, ${plain(b)})`, ask: null },
  'measure-angle': { words: 'measuring angles', say: (a) => `measures [${a}°]`, ask: null },
  'angle-kind': {
    words: 'judging angles',
    say: (a, _b, r) => `${a}° is ${angleNames[r] ?? ''}`,
    ask: (a) => `${a}°: less than, equal to, or more than a right angle?`,
  },
  'angle-missing': {
    words: 'finding missing angles',
    say: (a, b, r) => `${b}° and [${r}°] make ${a}°`,
    ask: (a, b) => `${b}° + ? = ${a}°`,
  },
  perimeter: {
    words: 'finding the way round',
    say: (a, b, r) => `round ${a} by ${b} it is [${r}]`,
    ask: (a, b) => `A rectangle ${a} by ${b}: how far is it round?`,
  },
  'area-joined': { words: 'areas put together', say: (a, b, r) => `parts of ${a} and ${b} squares: [${r}]`, ask: null },
  'area-slanting': {
    words: 'areas of slanting shapes',
    say: (a, b, r) => `a parallelogram, base ${a}, height ${b}: [${r}]`,
    ask: (a, b) => `A parallelogram with base ${a} and height ${b}: area?`,
  },
  'area-triangle': {
    words: 'areas of triangles',
    say: (a, b, r) => `a triangle, base ${a}, height ${b}: [${r}]`,
    ask: (a, b) => `A triangle with base ${a} and height ${b}: area?`,
  },
  volume: {
    words: 'filling boxes',
    say: (a, b, r) => `${b} layers of ${a} cubes: [${r}]`,
    ask: (a, b) => `${b} layers of ${a} cubes each: how many cubes?`,
  },
  'net-opposite': { words: 'folding nets', say: (_a, b, r) => `square ${b + 1} lies opposite to [${r + 1}]`, ask: null },
  'build-shape': { words: 'building shapes', say: (a) => `builds it from [${a}] pieces`, ask: null },
  'read-decimal': { words: 'reading decimals', say: (a) => `reads ${decimalText(a)}`, ask: (a) => decimalText(a) },
  'place-decimal': {
    words: 'placing decimal digits',
    say: (a, b, r) => `${a} in the ${['', 'tenths', 'hundredths', 'thousandths'][b]}: worth [${decimalText(r)}]`,
    ask: (a, b) => `What is ${a} worth in the ${['', 'tenths', 'hundredths', 'thousandths'][b]}?`,
  },
  'compare-decimal': {
    words: 'comparing decimals',
    say: (a, b, r) => `${decimalText(a)} is ${r === 0 ? 'as much as' : r > 0 ? 'more than' : 'less than'} ${decimalText(b)}`,
    ask: (a, b) => `Which is more: ${decimalText(a)} or ${decimalText(b)}?`,
  },
  'round-decimal': {
    words: 'rounding decimals',
    say: (a, b, r) => `${decimalText(a)} to the nearest ${decimalText(b)} is [${decimalText(r)}]`,
    ask: (a, b) => `${decimalText(a)} to the nearest ${decimalText(b)}: ?`,
  },
  'add-decimal': {
    words: 'adding decimals',
    say: (a, b, r) => `${decimalText(a)} + ${decimalText(b)} = [${decimalText(r)}]`,
    ask: (a, b) => `${decimalText(a)} + ${decimalText(b)} = ?`,
  },
  'subtract-decimal': {
    words: 'taking decimals away',
    say: (a, b, r) => `${decimalText(a)} − ${decimalText(b)} = [${decimalText(r)}]`,
    ask: (a, b) => `${decimalText(a)} − ${decimalText(b)} = ?`,
  },
  'multiply-decimal': {
    words: 'multiplying decimals',
    say: (a, b, r) => `${decimalText(a)} × ${decimalText(b)} = [${decimalText(r)}]`,
    ask: (a, b) => `${decimalText(a)} × ${decimalText(b)} = ?`,
  },
  'divide-decimal': {
    words: 'dividing decimals',
    say: (a, b, r) => `${decimalText(a)} ÷ ${decimalText(b)} = [${decimalText(r)}]`,
    ask: (a, b) => `${decimalText(a)} ÷ ${decimalText(b)} = ?`,
  },
  'fraction-of': {
    words: 'fractions of amounts',
    say: (a, b, r) => `${fractionText(a)} of ${b} is [${r}]`,
    ask: (a, b) => `${fractionText(a)} of ${b} = ?`,
  },
  'simplify-fraction': {
    words: 'simplifying fractions',
    say: (a, _b, r) => `${fractionText(a)} = [${fractionText(r)}]`,
    ask: (a) => `${fractionText(a)} in its simplest form: ?`,
  },
  'mixed-number': {
    words: 'wholes in fractions',
    say: (a, _b, r) => `${fractionText(a)} holds [${r}] wholes`,
    ask: (a) => `How many wholes are in ${fractionText(a)}?`,
  },
  'times-fraction': {
    words: 'fractions several times',
    say: (a, b, r) => `${b} × ${fractionText(a)} = [${fractionText(r)}]`,
    ask: (a, b) => `${b} × ${fractionText(a)} = ?`,
  },
  'multiply-fraction': {
    words: 'multiplying fractions',
    say: (a, b, r) => `${fractionText(a)} × ${fractionText(b)} = [${fractionText(r)}]`,
    ask: (a, b) => `${fractionText(a)} × ${fractionText(b)} = ?`,
  },
  'divide-fraction': {
    words: 'dividing with fractions',
    say: (a, b, r) => `${fractionText(a)} ÷ ${fractionText(b)} = [${fractionText(r)}]`,
    ask: (a, b) => `${fractionText(a)} ÷ ${fractionText(b)} = ?`,
  },
  'divide-to-fraction': {
    words: 'sharing into fractions',
    say: (a, b, r) => `${a} ÷ ${b} = [${fractionText(r)}]`,
    ask: (a, b) => `${a} shared by ${b}, as a fraction: ?`,
  },
  'percent-of': { words: 'percent of amounts', say: (a, b, r) => `${a} % of ${b} is [${r}]`, ask: (a, b) => `${a} % of ${b} = ?` },
  'percent-name': {
    words: 'naming percent',
    say: (a, _b, r) => `${fractionText(a)} is [${r} %]`,
    ask: (a) => `${fractionText(a)} in percent: ?`,
  },
  'ratio-equal': {
    words: 'equal ratios',
    say: (a, b, r) => `${ratio(a)} is ${r ? '' : 'not '}the same as ${ratio(b)}`,
    ask: (a, b) => `Is ${ratio(a)} the same as ${ratio(b)}?`,
  },
  'unit-rate': {
    words: 'how much for one',
    say: (a, b, r) => `${a} for ${b}: [${r}] for one`,
    ask: (a, b) => `${a} for ${b}. How much for one?`,
  },
  prime: { words: 'telling primes', say: (a, _b, r) => `${a} is ${r ? '' : 'not '}prime`, ask: (a) => `Is ${a} prime?` },
  remainder: { words: 'what is left over', say: (a, b, r) => `${a} ÷ ${b} leaves [${r}]`, ask: (a, b) => `${a} ÷ ${b} leaves ?` },
  'common-factor': {
    words: 'common factors',
    say: (a, b, r) => `greatest common factor of ${a} and ${b}: [${r}]`,
    ask: (a, b) => `Greatest common factor of ${a} and ${b}: ?`,
  },
  'common-multiple': {
    words: 'common multiples',
    say: (a, b, r) => `least common multiple of ${a} and ${b}: [${r}]`,
    ask: (a, b) => `Least common multiple of ${a} and ${b}: ?`,
  },
  power: { words: 'powers', say: (a, b, r) => `${a}${b === 2 ? '²' : '³'} = [${r}]`, ask: (a, b) => `${a}${b === 2 ? '²' : '³'} = ?` },
  'plus-times': {
    words: 'order of operations',
    say: (a, b, r) => `${a} + ${firstOf(b)} × ${secondOf(b)} = [${r}]`,
    ask: (a, b) => `${a} + ${firstOf(b)} × ${secondOf(b)} = ?`,
  },
  'times-bracket': {
    words: 'brackets',
    say: (a, b, r) => `${a} × (${firstOf(b)} + ${secondOf(b)}) = [${r}]`,
    ask: (a, b) => `${a} × (${firstOf(b)} + ${secondOf(b)}) = ?`,
  },
  'sum-of-three': {
    words: 'adding three numbers',
    say: (a, b, r) => `${a} + ${firstOf(b)} + ${secondOf(b)} = [${r}]`,
    ask: (a, b) => `${a} + ${firstOf(b)} + ${secondOf(b)} = ?`,
  },
  'estimate-product': {
    words: 'estimating products',
    say: (a, b, r) => `${a} × ${b} is about [${r}]`,
    ask: (a, b) => `About how much is ${a} × ${b}?`,
  },
  'letter-value': { words: 'letters for numbers', say: (a, b, r) => `${a}n = ${b}, so n = [${r}]`, ask: (a, b) => `${a}n = ${b}. n = ?` },
  'machine-rule': {
    words: 'number machines',
    say: (a, b, r) => `${a} goes in, [${r}] comes out (× ${firstOf(b)}${secondOf(b) ? ` + ${secondOf(b)}` : ''})`,
    ask: (a, b) => `The machine does × ${firstOf(b)}${secondOf(b) ? ` + ${secondOf(b)}` : ''}. ${a} goes in: ?`,
  },
  'read-scale': { words: 'reading scales', say: (a) => `reads [${plain(a)}] on the scale`, ask: null },
  'convert-unit': {
    words: 'changing units',
    say: (a, b, r) => `${a} × ${b} smaller units: [${r}]`,
    ask: (a, b) => `One is ${b} smaller ones. How many are ${a}?`,
  },
  'day-after': {
    words: 'days of the calendar',
    say: (a, b, r) => `${b} days after a ${day(a)}: [${day(r)}]`,
    ask: (a, b) => `Which day is ${b} days after a ${day(a)}?`,
  },
  'clock-24': {
    words: 'the day of 24 hours',
    say: (a, _b, r) => `${time24(a)} is [${time12(r)}]`,
    ask: (a) => `${time24(a)} on a clock with twelve hours: ?`,
  },
  mean: {
    words: 'the middle of numbers',
    say: (a, b, r) => `${a} shared evenly over ${b}: [${r}] each`,
    ask: (a, b) => `${b} numbers make ${a} together. Their mean: ?`,
  },
  spread: {
    words: 'how far numbers stray',
    say: (a, b, r) => `from ${b} to ${a}: a range of [${r}]`,
    ask: (a, b) => `The smallest is ${b}, the largest ${a}. The range: ?`,
  },
  'line-plot': { words: 'line plots', say: (a, b) => `[${b}] marks over ${decimalText(a * 250)}`, ask: null },
  'line-graph': { words: 'line graphs', say: (a) => `reads [${a}] on the line`, ask: null },
};
