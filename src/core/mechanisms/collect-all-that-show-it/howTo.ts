import { alone, type HowTo } from '../../play/howTo';
import { diceOf, fromTo, many, smallerThan } from '../../play/say';
import type { CollectParameters } from './parameters';

const shown: Readonly<Record<CollectParameters['shows'], string>> = {
  dots: 'dots',
  pips: 'pips',
  'ten-frame': 'ten frames',
  numerals: 'written numbers',
  tally: 'tally marks',
  words: 'number words',
};

export function howTo(p: CollectParameters): HowTo {
  const two = p.thrown === 'two-dice-sum';
  const n = Math.max(p.lowest, Math.min(p.highest, two ? Math.round((p.lowest + p.highest) / 2) : Math.round(p.highest * 0.7)));
  const half = Math.floor(n / 2);
  return {
    setUp: [`Spread the pieces face up: ${shown[p.shows]} from ${fromTo(p.lowest, p.highest)}, ${p.each} of each number.`],
    turn: [
      two
        ? `Throw ${diceOf(2, Math.ceil(p.lowest / 2), Math.floor(p.highest / 2))} and say how many together.`
        : `Throw ${diceOf(1, p.lowest, p.highest)} and say the number.`,
      ...(p.sayFirst ? ['Say how many pieces will show it.'] : []),
      p.play === 'in-turn'
        ? 'You alone gather every piece that shows it.'
        : p.play === 'against'
          ? 'Everyone gathers pieces that show it, each for oneself.'
          : 'All of you gather every piece that shows it, together.',
      p.noneLeft === 'throws-on' ? 'None left of that number? Throw again.' : 'None left of that number? The next player throws.',
    ],
    scoring: p.play === 'together' ? [] : ['Each piece you gather is a point.'],
    end: `Stop when the table is bare, or after ${many(p.throws, 'throw')}.`,
    ask: 'How can you see how many there are without counting each one?',
    tool: 'Put a finger on each dot, or lay counters beside it.',
    smaller: `Use pieces to ${Math.max(p.lowest + 1, smallerThan(p.highest))}.`,
    presence: alone,
    pictures: [
      { picture: two ? { draw: 'dice', faces: [half, n - half], joined: '+' } : { draw: 'dice', faces: [n] }, say: 'Throw.' },
      {
        picture:
          p.shows === 'numerals' || p.shows === 'words'
            ? { draw: 'cards', values: [n, n > p.lowest ? n - 1 : n + 1, n], lit: [0, 2] }
            : { draw: 'things', heaps: [[n], [n > p.lowest ? n - 1 : n + 1], [n]] },
        say: 'Gather all that show it.',
      },
      { picture: { draw: 'say', words: String(n) }, say: 'Say the number.' },
    ],
  };
}
