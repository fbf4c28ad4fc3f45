import { alone, type HowTo } from '../../play/howTo';
import { smallerThan, times } from '../../play/say';
import type { ChainParameters } from './parameters';

const asks: Readonly<Record<ChainParameters['operation'], string>> = {
  sum: 'two numbers added',
  difference: 'a small number taken away',
  product: 'two numbers multiplied',
  'ten-more-or-less': 'ten more or ten less',
  'double-or-half': 'double or half of a number',
};

/** One question of this version and its answer. */
function questionOf(p: ChainParameters): [string, number] {
  const n = Math.max(4, Math.floor(p.highest * 0.6));
  if (p.operation === 'sum') return [`${n - Math.floor(n / 3)} + ${Math.floor(n / 3)}`, n];
  if (p.operation === 'difference') return [`${n + 3} − 3`, n];
  if (p.operation === 'product') {
    const a = Math.max(2, Math.min(12, Math.floor(Math.sqrt(p.highest * 0.6))));
    return [`${a} × ${a}`, a * a];
  }
  if (p.operation === 'ten-more-or-less') return [`${n + 10} − 10`, n];
  return [`half of ${2 * n}`, n];
}

export function howTo(p: ChainParameters): HowTo {
  const [question, answer] = questionOf(p);
  return {
    setUp: [
      `Deal all ${p.cards} cards round.`,
      `Each card has an answer up to ${p.highest} and asks for ${asks[p.operation]}${p.shows === 'dots' ? ', shown with dots' : p.shows === 'words' ? ', written in words' : ''}.`,
    ],
    turn: [
      'One player reads a card: what it has, and what it asks for.',
      p.everyone ? 'Everyone works it out and looks on their cards.' : 'Whoever may have the answer works it out and looks on their cards.',
      'Whoever has the answer reads next; the table helps if nobody finds it.',
    ],
    scoring: [],
    end:
      p.loops === 1
        ? 'The loop is complete when the first card is asked for.'
        : `The loop is complete when the first card is asked for; go round ${times(p.loops)}.`,
    ask: 'How did you work that one out?',
    tool:
      p.operation === 'product' || p.operation === 'double-or-half'
        ? 'Draw the rows, or use a table of facts.'
        : 'Use a number line or a hundred chart.',
    smaller: `Use a set with answers to ${Math.max(8, smallerThan(p.highest))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'say', words: `Who has ${question}?` }, say: 'Listen to the question.' },
      { picture: { draw: 'cards', values: [answer], lit: [0] }, say: 'Have you got the answer?' },
      { picture: { draw: 'say', words: `I have ${answer}!` }, say: 'Read your card.' },
    ],
  };
}
