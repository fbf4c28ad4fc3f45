import { denominatorOf, fractionText as codeText, numeratorOf } from '../../items/fraction';
import { shapeText } from '../../items/acts/shapeWords';
import type { Country } from '../../play/country';
import { createRng } from '../../shared/rng';
import { type Box, rect } from '../box';
import { boxedParagraph, fitted } from '../letters';
import { amount, type AmountLook } from './amount';
import { clock, timeText } from './clock';
import { coin, coinDiameter, worthText } from './coin';
import { fractionText, pie } from './fraction';
import { gauge, lineGraph, linePlot, thermometer } from './gauge';
import { numeral, written } from './numeral';
import { measured, shape } from './shape';

/** What a card shows, as data: judged first, drawn later. */
export type Shown =
  | { readonly as: 'words'; readonly words: string }
  | { readonly as: 'number'; readonly n: number }
  | { readonly as: 'amount'; readonly n: number; readonly look: AmountLook }
  | { readonly as: 'fraction'; readonly code: number }
  | { readonly as: 'pie'; readonly code: number }
  | { readonly as: 'clock'; readonly minutes: number }
  | { readonly as: 'coins'; readonly coins: readonly number[] }
  | { readonly as: 'worth'; readonly hundredths: number }
  | { readonly as: 'shape'; readonly index: number; readonly turned: number }
  | { readonly as: 'letter'; readonly letter: string; readonly quarters: number }
  | { readonly as: 'measured'; readonly figure: 'rectangle' | 'triangle' | 'slanting' | 'joined'; readonly a: number; readonly b: number }
  | { readonly as: 'later'; readonly minutes: number; readonly by: number }
  | { readonly as: 'gauge'; readonly value: number; readonly step: number }
  | { readonly as: 'thermometer'; readonly value: number }
  | { readonly as: 'line-graph'; readonly value: number }
  | { readonly as: 'line-plot'; readonly quarters: number; readonly count: number };

const hourOf = (minutes: number): number => Math.floor((((minutes % 720) + 720) % 720) / 60) || 12;

/** A minute of the day on a face of twelve hours, written. */
export const clockText = (minutes: number): string => timeText(hourOf(minutes), ((minutes % 60) + 60) % 60);

/** Coins in rows, in the order given, as large as they can be in a box and never above their true size. */
export function coinsIn(coins: readonly number[], x: number, y: number, w: number, h: number, country: Country): Box[] {
  for (let k = 1; k > 0.2; k -= 0.04) {
    const rows: { readonly coins: { readonly c: number; readonly d: number }[]; wide: number; high: number }[] = [];
    for (const c of coins) {
      const d = coinDiameter(c, country) * k;
      const row = rows.at(-1);
      if (row && row.wide + d + 1 <= w) {
        row.coins.push({ c, d });
        row.wide += d + 1;
        row.high = Math.max(row.high, d);
      } else rows.push({ coins: [{ c, d }], wide: d, high: d });
    }
    const high = rows.reduce((sum, r) => sum + r.high + 1, -1);
    if (high > h || rows.some((r) => r.wide > w)) continue;
    let top = y + (h - high) / 2;
    return rows.flatMap((r) => {
      let left = x + (w - r.wide) / 2;
      const drawn = r.coins.flatMap(({ c, d }) => {
        const boxes = coin(c, left + d / 2, top + r.high / 2, d / 2, country);
        left += d + 1;
        return boxes;
      });
      top += r.high + 1;
      return drawn;
    });
  }
  return [];
}

/** Draws it in a box; the size of words stays readable for young children. */
export function drawShown(s: Shown, x: number, y: number, w: number, h: number, country: Country): Box[] {
  switch (s.as) {
    case 'words':
      // What is short is read across a table; what is long still holds the size of a young reader's text.
      return /^[\d\s+−×÷=:.,%°²³()]+$/.test(s.words) && s.words.length <= 8
        ? numeral(x, y + h * 0.2, w, h * 0.6, s.words, { most: 60 })
        : boxedParagraph(x, y, w, h, s.words, 32, 11, { bold: true });
    case 'number':
      return numeral(x, y + h * 0.1, w, h * 0.8, written(s.n), { most: 110 });
    case 'amount':
      return amount(s.look, s.n, x, y, w, h, createRng(s.n, 5));
    case 'fraction':
      return fractionText(numeratorOf(s.code), denominatorOf(s.code), x, y + h * 0.05, w, h * 0.9);
    case 'pie': {
      const [n, of] = [numeratorOf(s.code), denominatorOf(s.code)];
      return pie(n, of, x + w / 2, y + h / 2, Math.min(w, h) * 0.46);
    }
    case 'clock':
      return clock(x + w / 2, y + h / 2, Math.min(w, h) * 0.48, { hour: hourOf(s.minutes), minute: ((s.minutes % 60) + 60) % 60 }).map(
        (b) => ({
          ...b,
          frame: false,
        }),
      );
    case 'coins':
      return coinsIn(s.coins, x, y, w, h, country);
    case 'worth':
      return numeral(x, y + h * 0.25, w, h * 0.5, worthText(s.hundredths, country), { most: 60 });
    case 'shape':
      return shape(s.index, s.turned, x + w * 0.12, y + h * 0.12, w * 0.76, h * 0.76);
    case 'letter': {
      const side = Math.min(w, h) * 0.62;
      return [
        rect(x + (w - side) / 2, y + (h - side) / 2, side, side, { line: 'pale', width: 0.4, fill: 'wash' }),
        {
          ...fitted(x + (w - side) / 2, y + (h - side) / 2, side, side, s.letter, { bold: true, most: side * 1.9 }),
          turned: 90 * s.quarters,
        },
      ];
    }
    case 'measured':
      return measured(s.figure, s.a, s.b, x, y, w, h);
    case 'later':
      return [
        ...drawShown({ as: 'clock', minutes: s.minutes }, x, y, w, h * 0.78, country),
        fitted(x, y + h * 0.84, w, h * 0.14, `+ ${s.by} min`, { bold: true, most: 20 }),
      ];
    case 'gauge':
      return gauge(s.value, s.step, x, y, w, h);
    case 'thermometer':
      return thermometer(s.value, x, y, w, h);
    case 'line-graph':
      return lineGraph(s.value, x, y, w, h);
    case 'line-plot':
      return linePlot(s.quarters, s.count, x, y, w, h);
  }
}

const facings = ['upright', 'turned a quarter', 'turned half round', 'turned three quarters'];

/** The same in words, for keys and for telling what is wrong; money is told in hundredths. */
export function sayShown(s: Shown): string {
  switch (s.as) {
    case 'words':
      return s.words;
    case 'number':
      return written(s.n);
    case 'amount':
      return `${s.n} as ${s.look}`;
    case 'fraction':
      return codeText(s.code);
    case 'pie':
      return `${codeText(s.code)} of a circle`;
    case 'clock':
      return `a clock at ${clockText(s.minutes)}`;
    case 'coins':
      return s.coins.join(' + ');
    case 'worth':
      return String(s.hundredths);
    case 'shape':
      return shapeText(s.index);
    case 'letter':
      return `${s.letter} ${facings[((s.quarters % 4) + 4) % 4]!}`;
    case 'measured':
      return `a ${s.figure} of ${s.a} and ${s.b}`;
    case 'later':
      return `${s.by} minutes after ${clockText(s.minutes)}`;
    case 'gauge':
      return `a dial at ${s.value}`;
    case 'thermometer':
      return `a thermometer at ${s.value}°`;
    case 'line-graph':
      return `a graph with a point at ${s.value}`;
    case 'line-plot':
      return `${s.count} crosses over ${s.quarters / 4}`;
  }
}
