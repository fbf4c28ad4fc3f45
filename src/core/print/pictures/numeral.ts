import { type Box, baselineOf, rect } from '../box';
import { fitted, textWidth } from '../letters';

const turnedDigit: Readonly<Record<string, string>> = { '0': '0', '1': '1', '6': '9', '8': '8', '9': '6' };

/**
 * Whether a number read upside down is another number: made of nothing but 0, 1, 6, 8 and 9, not its own picture, and not
 * beginning with a nought when it is turned.
 *
 * @example
 * canBeTurned('96'); // => false
 * canBeTurned('86'); // => true
 * canBeTurned('10'); // => false
 */
export function canBeTurned(words: string): boolean {
  const digits = [...words];
  if (digits.length === 0 || digits.some((d) => turnedDigit[d] === undefined)) return false;
  const turned = digits
    .reverse()
    .map((d) => turnedDigit[d])
    .join('');
  return turned !== words && !turned.startsWith('0');
}

/**
 * A number as large as its box allows, with a line below where it could be read upside down; not on what everybody reads from
 * one side, like a chart or a page to write on (`level`).
 */
export function numeral(
  x: number,
  y: number,
  w: number,
  h: number,
  words: string,
  style: { readonly most?: number; readonly fill?: Box['fill']; readonly bold?: boolean; readonly level?: boolean } = {},
): Box[] {
  const { level, ...look } = style;
  const turns = !level && canBeTurned(words);
  // The line hangs below the box, so that all numbers of a row stand on one line and are of one size.
  const number = fitted(x, y, w, h, words, { bold: true, ...look });
  if (!turns) return [number];
  const wide = textWidth(words, number.size!, style.bold ?? true);
  const thick = Math.max(0.5, h * 0.03);
  return [number, rect(x + (w - wide) / 2, baselineOf(number) + h * 0.07, wide, thick, { fill: style.fill ?? 'ink' })];
}

/** A number as people of this product write it: a true minus sign, thousands apart by a narrow space from ten thousand on. */
export function written(n: number): string {
  const digits = String(Math.abs(n));
  const [whole, part] = digits.split('.') as [string, string | undefined];
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u2009') : whole;
  return `${n < 0 ? '−' : ''}${grouped}${part ? `.${part}` : ''}`;
}
