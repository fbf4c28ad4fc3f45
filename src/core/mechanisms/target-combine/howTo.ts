import { alone, type HowTo } from '../../play/howTo';
import { fromTo, listed, many, nameOf, smallerThan } from '../../play/say';
import type { TargetCombineParameters } from './parameters';

const cardWords: Readonly<Record<TargetCombineParameters['cards'], string>> = {
  whole: 'whole numbers',
  'with-negatives': 'numbers with plus or minus before them',
  halves: 'so many halves',
  tenths: 'so many tenths',
};

export function howTo(p: TargetCombineParameters): HowTo {
  const stars = p.leastStars === p.mostStars ? `${p.leastStars}-star` : `${p.leastStars}- to ${p.mostStars}-star`;
  const way =
    p.intermediates === 'natural'
      ? 'Every step must stay a whole number above nothing.'
      : p.intermediates === 'integer'
        ? 'Steps may go below zero, but stay whole.'
        : p.intermediates === 'non-negative'
          ? 'Steps may be fractions, but never below zero.'
          : 'Steps may be fractions or go below zero.';
  const values = Array.from({ length: p.numbers }, (_, i) => Math.max(p.lowest, Math.min(p.highest, [6, 3, 4, 2][i]!)));
  return {
    setUp: [
      `Lay ${p.numbers} number cards face up (${fromTo(p.lowest, p.highest)}, ${cardWords[p.cards]}${p.draw === 'deck' ? `, ${p.copies} of each` : ', drawn with putting back'}).`,
      p.unsolvable ? 'Some hands have no way: to say so is then the answer.' : `Use ${stars} hands; each has a way.`,
      ...(p.twoOnACard ? ['Two hands stand on a card: exactly one of them works.'] : []),
    ],
    turn: [
      p.use === 'all'
        ? `Use every number exactly once to make ${p.target}.`
        : `Use as many of the numbers as you can, each once, to make ${p.target}.`,
      `You may use ${listed(
        p.operations.map((o) => nameOf[o]),
        'or',
      )}. ${way}`,
      'Say or write each step; others check it.',
      p.timeBox > 0
        ? `After ${many(p.timeBox, 'minute')} or ${many(p.tries, 'try', 'tries')} pass the hand on.`
        : `After ${many(p.tries, 'try', 'tries')} pass the hand on.`,
    ],
    scoring: [
      `Nobody has to be first: everyone who finds a way scores ${p.use === 'all' ? 'its stars' : 'the numbers used'}${p.bonusSecondWay ? '; a second way is one more' : ''}.`,
    ],
    end: `Play ${many(p.hands, 'hand')}.`,
    ask: 'Which two numbers would you try first, and why?',
    tool: 'Write every pair of the numbers and what it makes.',
    smaller: p.numbers > 2 ? `Play with ${p.numbers - 1} numbers.` : `Use cards to ${Math.max(2, smallerThan(p.highest))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values }, say: 'Here are the numbers.' },
      { picture: { draw: 'cards', values, joined: '?', makes: String(p.target) }, say: `Make ${p.target}.` },
      { picture: { draw: 'say', words: String(p.target) }, say: 'Say how.' },
    ],
  };
}
