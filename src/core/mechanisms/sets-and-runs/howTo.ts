import { alone, type HowTo } from '../../play/howTo';
import { fromTo, many } from '../../play/say';
import type { SetsParameters } from './parameters';
import { groupsOf, readingOf } from './rules';

const what = (p: SetsParameters): string =>
  ({
    'one-amount-as-fraction-percent-decimal': 'one amount as a fraction, as percent and as a decimal',
    'one-number-of-facts': 'one number made in three ways',
    'multiples-in-a-row': `three multiples of ${p.step} in a row`,
    'one-fraction': 'one fraction in three forms',
    'one-power': 'a square number as itself, as a power and as a product',
  })[p.cards];

/** Three cards of this version that belong together. */
function setOf(p: SetsParameters): (string | number)[] {
  const groups = groupsOf(p);
  const g = groups[Math.min(2, groups.length - 1)]!;
  const [top, bottom] = [Math.floor(g / 100), g % 100];
  switch (p.cards) {
    case 'one-amount-as-fraction-percent-decimal':
      return [`${top}/${bottom}`, `${(100 * top) / bottom}%`, String(top / bottom)];
    case 'one-fraction':
      return [`${top}/${bottom}`, `${2 * top}/${2 * bottom}`, `${3 * top}/${3 * bottom}`];
    case 'one-power':
      return [g * g, `${g}²`, `${g}×${g}`];
    case 'multiples-in-a-row':
      return [g, g + p.step, g + 2 * p.step];
    case 'one-number-of-facts':
      return [0, 1, 2].map((f) => readingOf(p, g, f)!).map((r) => `${r.a}+${r.b}`);
  }
}

export function howTo(p: SetsParameters): HowTo {
  const cards = setOf(p);
  const numbers = p.cards === 'one-number-of-facts' || p.cards === 'multiples-in-a-row' || p.cards === 'one-power';
  const sums = p.cards === 'one-number-of-facts';
  return {
    setUp: [
      `Shuffle the cards, ${groupsOf(p).length} ${numbers ? 'numbers' : 'fractions'} three times each; deal ${p.hand} to everyone and turn ${p.open} face up beside the pile.`,
      `Three cards belong together when they show ${what(p)}.`,
      ...(numbers
        ? [
            sums
              ? `The numbers are ${p.lowest * 2 + 2} to ${p.highest * 2 + 2}, made by adding.`
              : `The numbers come from ${fromTo(p.lowest, p.highest)}.`,
          ]
        : []),
    ],
    turn: [
      'Take an open card or one from the pile; say what it is worth.',
      'Lay down three cards that belong together, and say why they do.',
      `Put one card away, face up: only the last ${p.open === 1 ? 'one lies' : `${p.open} lie`} open.`,
      'Pile used up? Shuffle all that is neither held nor open.',
    ],
    scoring: [],
    end: `The first with ${many(p.sets, 'set')} on the table has done it; the round is played out, and several may have.`,
    ask: 'Which card are you waiting for, and what would do?',
    tool: numbers ? 'Lay the number with counters, or look at a table of facts.' : 'Lay fraction strips side by side.',
    smaller: p.sets > 1 ? `Play for ${many(p.sets - 1, 'set')}.` : 'Hold your cards open and help each other.',
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [cards[0]!, cards[1]!, null, null] }, say: 'Look at your cards.' },
      { picture: { draw: 'cards', values: cards, lit: [2] }, say: 'Three that belong together!' },
      { picture: { draw: 'cards', values: [null] }, say: 'Put one away.' },
    ],
  };
}
