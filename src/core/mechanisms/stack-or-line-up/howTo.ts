import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { StackParameters } from './parameters';

export function howTo(p: StackParameters): HowTo {
  const stack = p.build === 'stacked';
  const [own, other] = [Math.min(p.steady, p.pieces), Math.max(1, Math.min(p.steady, p.pieces) - 3)];
  const step = p.countBy === 'one-by-one' ? '' : p.countBy === 'in-twos' ? ' in twos' : ' in fives';
  return {
    setUp: [`Give everyone ${many(p.pieces, 'piece')}.`],
    turn: [
      ...(p.predict ? [`Say how many you will ${stack ? 'stack' : 'line up'}.`] : []),
      stack ? 'Stack them until they topple or run out.' : 'Line them up to the edge of the table.',
      `Count them${step === '' ? ' one by one' : step}.`,
      ...(p.compare === 'not'
        ? []
        : [
            p.compare === 'who-has-more'
              ? 'Compare with your neighbour: who has more?'
              : 'Compare with your neighbour: who has more, and how many more?',
          ]),
    ],
    scoring: [`The ${stack ? 'tallest stack' : 'longest line'} is a point${p.predict ? '; so is saying it within one' : ''}.`],
    end: `Build ${p.rounds} times.`,
    ask: 'How many more would you need to have as many?',
    tool: 'Lay the two side by side, one beside one.',
    smaller: `Use ${Math.max(5, smallerThan(p.pieces))} pieces.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'say', words: '?' }, say: p.predict ? 'How many will you manage?' : 'Take your pieces.' },
      {
        picture: stack
          ? { draw: 'columns', first: 1, heights: [own, other], full: Math.max(own, other), lit: 1 }
          : { draw: 'things', heaps: [[Math.min(10, own)], [Math.min(10, other)]], shape: 'cube' },
        say: stack ? 'Stack them.' : 'Line them up.',
      },
      { picture: { draw: 'say', words: `${own}` }, say: `Count them${step}.` },
    ],
  };
}
