import { fractionCode } from '../../items/fraction';
import { alone, type HowTo } from '../../play/howTo';
import { fromTo, many, smallerThan } from '../../play/say';
import type { AskParameters } from './parameters';

const belong = (p: AskParameters): string => {
  if (p.relation === 'make-a-sum') return `make ${p.number} together`;
  if (p.relation === 'differ-by') return `are ${p.number} apart`;
  return p.relation === 'are-equal' ? 'show the same number' : 'are the same fraction in another form';
};

/** Two cards that belong together in this version. */
function pairOf(p: AskParameters): [number | string, number | string] {
  if (p.relation === 'make-a-sum') {
    const x = Math.max(p.lowest, p.number - p.highest, p.lowest + Math.ceil((p.number * 0.3 - p.lowest) / p.by) * p.by);
    return [x, p.number - x];
  }
  if (p.relation === 'differ-by') return [p.lowest + p.by, p.lowest + p.by + p.number];
  if (p.relation === 'are-equal') return [p.highest - 1, p.highest - 1];
  return [text(fractionCode(1, 2)), text(fractionCode(2, 4))];
}
const text = (code: number): string => `${Math.floor(code / 100)}/${code % 100}`;

export function howTo(p: AskParameters): HowTo {
  const group = p.together === 'pairs' ? 'two cards' : 'three cards';
  const fractions = p.relation === 'are-equal-fractions';
  const [x, y] = pairOf(p);
  return {
    setUp: [
      `Deal ${many(p.hand, 'card')} to everyone${p.drawPile ? '; the rest is the draw pile' : ', and put the rest away'}.`,
      ...(fractions ? [] : [`The cards go from ${fromTo(p.lowest, p.highest)}${p.by > 1 ? ` by ${p.by}s` : ''}, ${p.copies} of each.`]),
      `Lay down at once any ${group} that ${belong(p)}.`,
    ],
    turn: [
      'Ask one player for the card that one of yours needs.',
      p.again
        ? 'Got it? Lay them down, say what they show, and ask again.'
        : 'Got it? Lay them down and say what they show; the next player asks.',
      p.drawPile ? 'Not there? Draw a card, and the next player asks.' : 'Not there? The next player asks.',
      'Listen: what others ask for tells what they hold.',
    ],
    scoring: [`Each ${p.together === 'pairs' ? 'pair' : 'set of three'} laid down is one point.`],
    end: 'When nobody can ask any more, count your points.',
    ask: fractions ? 'How do you know that these two are equal?' : 'Which card are you looking for, and how do you know?',
    tool: fractions ? 'Lay fraction strips beside the card.' : 'Lay the number with counters and see what is missing.',
    smaller: fractions
      ? 'Play with halves, quarters and eighths only.'
      : `Play with fewer cards: ${p.relation === 'make-a-sum' ? `make ${smallerThan(p.number)}` : `cards to ${smallerThan(p.highest)}`}.`,
    presence: alone,
    pictures: [
      {
        picture: { draw: 'cards', values: Array.from({ length: Math.min(p.hand, 5) }, (_, i) => (i === 0 ? x : null)), lit: [0] },
        say: 'Look at your cards. Choose one.',
      },
      { picture: { draw: 'cards', values: [x, y], lit: [1] }, say: `Ask for the card it needs: they ${belong(p)}.` },
      {
        picture: { draw: 'cards', values: p.drawPile ? [null] : [x] },
        say: p.drawPile ? 'Not there? Draw one.' : 'Not there? Wait for your next turn.',
      },
    ],
  };
}
