import type { Country } from '../../play/country';
import { type Box, circle, rect } from '../box';
import { fitted } from '../letters';

/** The smallest play coin in millimetres: large enough to pick up, and for its worth in letters that can be read. */
const smallest = 21;

/**
 * Diameter of a play coin in millimetres. Coins are to each other as the real ones of the country are, of which a larger one is not
 * always worth more, and all a little larger than those.
 */
export function coinDiameter(worth: number, { coins, coinMm }: Pick<Country, 'coins' | 'coinMm'>): number {
  const real = coinMm[coins.indexOf(worth)] ?? Math.max(...coinMm);
  return (real * smallest) / Math.min(...coinMm);
}

/** What stands on a coin or a price: hundredths below one unit by their short sign, whole units by the sign of the money. */
export function worthText(hundredths: number, { money }: Pick<Country, 'money'>): string {
  const signed = (words: string): string => (money.before ? `${money.sign}${words}` : `${words} ${money.sign}`);
  if (hundredths >= 100 && hundredths % 100 === 0) return signed(String(hundredths / 100));
  if (hundredths < 100) return money.parts === 'pence' ? `${hundredths}p` : `${hundredths}¢`;
  return signed((hundredths / 100).toFixed(2).replace('.', money.point));
}

/** A play coin of our own design: a rim, its worth, and nothing that could pass for money. */
export function coin(worth: number, cx: number, cy: number, r: number, country: Country): Box[] {
  const ring = country.coins.indexOf(worth) % 2 === 0;
  return [
    circle(cx, cy, r, { line: 'ink', width: 0.5, fill: 'wash' }),
    circle(cx, cy, r * 0.84, { line: ring ? 'ochre' : 'soft', width: 0.35 }),
    fitted(cx - r * 0.62, cy - r * 0.36, r * 1.24, r * 0.72, worthText(worth, country), { bold: true, most: r * 2.1 }),
  ];
}

/** A play note. */
export function note(units: number, x: number, y: number, w: number, h: number, country: Country): Box[] {
  const words = worthText(units * 100, country);
  return [
    rect(x, y, w, h, { line: 'ink', width: 0.5, fill: 'white' }),
    rect(x + 3, y + 3, w - 6, h - 6, { line: 'teal', width: 0.4 }),
    circle(x + w / 2, y + h / 2, h * 0.32, { line: 'teal', width: 0.4, fill: 'wash' }),
    fitted(x + w / 2 - h * 0.28, y + h / 2 - h * 0.12, h * 0.56, h * 0.24, words, { bold: true }),
    fitted(x + 5, y + 5, 14, 6, words, { bold: true }),
    fitted(x + w - 19, y + h - 11, 14, 6, words, { bold: true }),
  ];
}
