import { alone, type HowTo } from '../../play/howTo';
import { fromTo, smallerThan } from '../../play/say';
import type { PairMemoryParameters } from './parameters';

const looks: Readonly<Record<string, string>> = {
  numerals: 'written numbers',
  dots: 'dots',
  'ten-frame': 'ten frames',
  pips: 'pips',
  beads: 'beads',
  words: 'number words',
};

/** Two cards of this version that make a pair. */
function pairOf(p: PairMemoryParameters): [number | string, number | string] {
  if (p.relation === 'sum') {
    const x = Math.max(p.lowestCard, p.sum - p.highestCard, p.lowestCard + Math.floor((p.sum * 0.3 - p.lowestCard) / p.by) * p.by);
    return [x, p.sum - x];
  }
  if (p.relation === 'difference') return [p.lowestCard + 1, p.lowestCard + 1 + p.gap];
  return p.relation === 'equal' ? [p.highestCard, p.highestCard] : ['1/2', '2/4'];
}

export function howTo(p: PairMemoryParameters): HowTo {
  const [x, y] = pairOf(p);
  const pair =
    p.relation === 'sum'
      ? `make ${p.sum}`
      : p.relation === 'difference'
        ? `are ${p.gap} apart`
        : p.relation === 'equal'
          ? 'show the same number'
          : 'are the same fraction in another form';
  const fractions = p.relation === 'equal-fraction';
  const shown =
    p.firstLook === p.secondLook ? looks[p.firstLook] : `${looks[p.firstLook]} on one sort, ${looks[p.secondLook]} on the other`;
  const cells = p.rows * p.columns;
  const table = (lit: number[]): HowTo['pictures'][1]['picture'] => ({
    draw: 'cards',
    rows: p.rows,
    values: Array.from({ length: cells }, (_, i) => (i === lit[0] ? x : i === lit[1] ? y : null)),
    lit,
  });
  return {
    setUp: [
      `Lay ${cells} cards face down in ${p.rows} rows of ${p.columns}.`,
      fractions
        ? 'On them: fractions in two forms.'
        : `On them: ${fromTo(p.lowestCard, p.highestCard)}${p.by > 1 ? ` by ${p.by}s` : ''} (${shown}).`,
    ],
    turn: [
      fractions || p.relation === 'equal' ? 'Turn one card and say what it shows.' : 'Turn one card and say what it needs.',
      `Turn a second: if the two ${pair}, keep them; otherwise turn them back.`,
      p.extraTurn ? 'A pair gives another turn.' : 'After a pair, too, the next player goes on.',
      'Everyone watches: what was seen helps later.',
    ],
    scoring: ['Each pair is a point.'],
    end: 'When all cards are gone, lay your pairs side by side and read them aloud.',
    ask: fractions ? 'How do you know that they are equal?' : 'What does this card need?',
    tool: fractions ? 'Lay fraction strips beside the card.' : 'Lay the number with counters and see what is missing.',
    smaller: `Lay ${Math.max(4, smallerThan(cells) - (smallerThan(cells) % 2))} cards${fractions ? '' : `, the numbers to ${Math.max(p.lowestCard + 1, smallerThan(p.highestCard))}`}.`,
    presence: alone,
    pictures: [
      { picture: table([1]), say: 'Turn a card.' },
      { picture: table([1, cells - 2]), say: `Turn another: they ${pair}.` },
      { picture: { draw: 'cards', values: [x, y] }, say: 'Keep the pair.' },
    ],
  };
}
