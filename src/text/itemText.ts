import { fractionText } from '../core/items/fraction';
import { type ActName, actNames, isAct } from '../core/items/acts';
import { actText } from './actText';
import type { Item, Operation } from '../core/items/item';

const plainWords: Readonly<Record<Exclude<Operation, ActName>, string>> = {
  add: 'adding',
  subtract: 'taking away',
  multiply: 'multiplying',
  divide: 'dividing',
  compare: 'comparing',
  count: 'counting',
  subitise: 'seeing at a glance',
  compose: 'putting parts together',
  decompose: 'taking apart',
  'read-numeral': 'reading numbers',
  'write-numeral': 'writing numbers',
  'place-digit': 'placing digits',
  round: 'rounding',
  'next-in-sequence': 'counting on in steps',
  'next-in-pattern': 'continuing patterns',
  factor: 'asking for factors',
  'odd-even': 'odd or even',
  'name-fraction': 'naming fractions',
  'equivalent-fraction': 'equal fractions',
  'compare-fraction': 'comparing fractions',
  'add-fraction': 'adding fractions',
  'subtract-fraction': 'taking fractions away',
  balance: 'balancing',
  'fact-family': 'fact families',
  'times-family': 'times families',
  'tell-time': 'telling time',
  'elapsed-time': 'time that passes',
  'count-money': 'counting money',
  measure: 'measuring',
  'read-graph': 'reading graphs',
  mirror: 'mirroring',
  area: 'finding areas',
  turn: 'turning',
};
/** What people read for each act of mathematics. */
export const operationWords = {
  ...plainWords,
  ...(Object.fromEntries(actNames.map((name) => [name, actText[name].words])) as Record<ActName, string>),
} as Readonly<Record<Operation, string>>;

/** Hue of each operation in charts, by strand colour. */
export const operationHue = (op: string): string =>
  ({ add: 'vermilion', subtract: 'indigo', multiply: 'plum', divide: 'ochre', compare: 'teal', compose: 'moss', decompose: 'moss' })[op] ??
  'slate';

const placeNames = ['ones', 'tens', 'hundreds', 'thousands', 'ten thousands', 'hundred thousands', 'millions'];
const plain = (n: number): string => (Number.isInteger(n) ? String(n).replace('-', '−') : String(Number(n.toFixed(2))).replace('-', '−'));
const clock = (minutes: number): string => `${Math.floor(minutes / 60) || 12}:${String(minutes % 60).padStart(2, '0')}`;

/** An item as a person would say it, with what was asked for in brackets. */
export function itemText(item: Item): string {
  const { op, a, b, result, unknown } = item;
  const [x, y, r] = [plain(a), plain(b), plain(result)];
  const asked = (sign: string): string =>
    `${unknown === 'a' ? `[${x}]` : x} ${sign} ${unknown === 'b' ? `[${y}]` : y} = ${unknown === 'result' ? `[${r}]` : r}`;
  switch (op) {
    case 'add':
    case 'compose':
    case 'fact-family':
      return asked('+');
    case 'subtract':
    case 'decompose':
      return asked('−');
    case 'multiply':
    case 'times-family':
    case 'area':
      return asked('×');
    case 'divide':
      return asked('÷');
    case 'balance':
      return `${x} balances ${y} and [${r}]`;
    case 'compare':
      return result === 0 ? `${x} is as much as ${y}` : `${x} is ${result > 0 ? 'more' : 'less'} than ${y}`;
    case 'count':
      return `counts [${x}] ${a === 1 ? 'thing' : 'things'}`;
    case 'subitise':
      return `sees [${x}] at a glance`;
    case 'read-numeral':
      return `reads ${x}`;
    case 'write-numeral':
      return `writes ${x}`;
    case 'place-digit':
      return `${x} in the ${placeNames[b] ?? 'column'}: worth [${r}]`;
    case 'round':
      return `${x} to the nearest ${y} is [${r}]`;
    case 'next-in-sequence':
      return unknown === 'a' ? `before ${r} comes [${x}]` : `after ${x} comes [${r}]`;
    case 'next-in-pattern':
      return `place ${b + 1} of a pattern of ${x}: element [${result + 1}]`;
    case 'factor':
      return `${y} is ${result === 1 ? '' : 'not '}a factor of ${x}`;
    case 'odd-even':
      return `${x} is ${result === 1 ? 'odd' : 'even'}`;
    case 'name-fraction':
      return `names ${fractionText(a)}`;
    case 'equivalent-fraction':
      return `${fractionText(a)} is ${result === 1 ? '' : 'not '}the same as ${fractionText(b)}`;
    case 'compare-fraction':
      return `${fractionText(a)} is ${result === 0 ? 'the same as' : result > 0 ? 'more than' : 'less than'} ${fractionText(b)}`;
    case 'add-fraction':
      return `${fractionText(a)} + ${fractionText(b)} = [${fractionText(result)}]`;
    case 'subtract-fraction':
      return `${fractionText(a)} − ${fractionText(b)} = [${fractionText(result)}]`;
    case 'tell-time':
      return `the clock shows [${clock(a)}]`;
    case 'elapsed-time':
      return `${clock(a)} and ${y} minutes: [${clock(result)}]`;
    case 'count-money':
      return `${y} coins are [${x}]`;
    case 'measure':
      return `[${x}] units long`;
    case 'read-graph':
      return `reads ${x} from the graph`;
    case 'mirror':
      return `${x} squares from the line, mirrored`;
    case 'turn':
      return `${y} quarter turns`;
    default:
      return actText[op].say(a, b, result);
  }
}

/** A sentence of a mechanism with its two numbers filled in; fractions are written as such. */
export const toldText = (sentence: string, x: number, y: number, fractions = false): string =>
  sentence
    .replaceAll('{x}', fractions && x > 100 ? fractionText(x) : plain(x))
    .replaceAll('{y}', fractions && y > 100 ? fractionText(y) : plain(y));

/** An item as a question to show a learner, with what is asked left open; null where only things can ask it. */
export function questionText({ op, a, b, result, unknown, rep }: Item): string | null {
  if (rep !== 'numerals' && rep !== 'expression' && rep !== 'words') return null;
  const [x, y, r] = [plain(a), plain(b), plain(result)];
  const gap = (sign: string): string =>
    `${unknown === 'a' ? '?' : x} ${sign} ${unknown === 'b' ? '?' : y} = ${unknown === 'result' ? '?' : r}`;
  switch (op) {
    case 'add':
    case 'compose':
      return gap('+');
    case 'subtract':
    case 'decompose':
      return gap('−');
    case 'multiply':
      return gap('×');
    case 'divide':
      return gap('÷');
    case 'compare':
      return `Which is more: ${x} or ${y}?`;
    case 'read-numeral':
      return x;
    case 'round':
      return `${x} to the nearest ${y}: ?`;
    case 'next-in-sequence':
      return `${plain(a - b)}, ${x}, ?`;
    case 'factor':
      return `Is ${y} a factor of ${x}?`;
    case 'odd-even':
      return `${x}: odd or even?`;
    case 'balance':
      return `${y} + ? = ${x}`;
    case 'compare-fraction':
      return `Which is more: ${fractionText(a)} or ${fractionText(b)}?`;
    case 'equivalent-fraction':
      return `Is ${fractionText(a)} the same as ${fractionText(b)}?`;
    case 'add-fraction':
      return `${fractionText(a)} + ${fractionText(b)} = ?`;
    case 'subtract-fraction':
      return `${fractionText(a)} − ${fractionText(b)} = ?`;
    default:
      return isAct(op) ? (actText[op].ask?.(a, b) ?? null) : null;
  }
}
