import { shapeText } from '../../items/acts/shapeWords';
import { type ActHalf, actHalves } from '../../play/actHalves';
import type { Shown } from './shown';

export interface Half {
  readonly shown: Shown;
  /** What it is worth, as something that can be compared; two halves of one worth are partners. */
  readonly worth: string;
}

export const words = (text: string): Shown => ({ as: 'words', words: text });

/** Two halves of one worth. */
export const both = (first: Shown, second: Shown, worth: string | number): readonly [Half, Half] => [
  { shown: first, worth: String(worth) },
  { shown: second, worth: String(worth) },
];

/** A fraction that stands alone has a level bar; everything else is written. */
export const fractionOrNumber = (text: string): Shown => {
  const m = /^(\d+)\/(\d+)$/.exec(text);
  return m ? { as: 'fraction', code: Number(m[1]) * 100 + Number(m[2]) } : words(text);
};

/** What an act asks and its answer: drawn where it is seen and not read. `n` turns the shapes another way each time. */
export function actShown(sort: ActHalf, a: number, b: number, n: number): readonly [Half, Half] {
  const [first, second] = actHalves[sort].pair(a, b);
  const figure = (figure: 'rectangle' | 'triangle' | 'slanting' | 'joined', unit: string): readonly [Half, Half] =>
    both({ as: 'measured', figure, a, b }, words(`${second} ${unit}`), `${sort} ${second}`);
  switch (sort) {
    case 'scales':
      return both({ as: 'gauge', value: a, step: b }, words(second), second);
    case 'thermometers':
      return both({ as: 'thermometer', value: a }, words(second), second);
    case 'shape-and-name':
    case 'solid-and-name':
      return both({ as: 'shape', index: a, turned: (n * 50) % 360 }, words(shapeText(a).replace(/^an? /, '')), a);
    case 'line-graphs':
      return both({ as: 'line-graph', value: a }, words(second), second);
    case 'line-plots':
      return both({ as: 'line-plot', quarters: a, count: b }, words(`${second} crosses`), second);
    case 'way-round':
      return figure('rectangle', 'round');
    case 'triangle-areas':
      return figure('triangle', 'squares');
    case 'slanting-areas':
      return figure('slanting', 'squares');
    case 'joined-areas':
      return figure('joined', 'squares');
    case 'day-hours':
      return both(words(first), { as: 'clock', minutes: a % 720 }, a % 720);
    default:
      return both(fractionOrNumber(first), fractionOrNumber(second), `${first} = ${second}`);
  }
}
