import { alone, type HowTo } from '../../play/howTo';
import { fromTo, smallerThan } from '../../play/say';
import type { RemainderParameters } from './parameters';

export function howTo(p: RemainderParameters): HowTo {
  const n = Math.max(p.lowest, Math.min(p.highest, 29));
  const by = Math.min(4, p.divisors);
  const left = p.moves === 'what-is-left-over';
  const at = 3;
  return {
    setUp: [`Everyone puts a peg before a track of ${p.goal} spaces; shuffle cards ${fromTo(p.lowest, p.highest)}.`],
    turn: [
      p.story === 'a-story'
        ? 'Draw a card: so many children want to sit in boats. Put it back.'
        : 'Draw a card: so many things are to be shared. Put it back.',
      p.choose === 'one-throw'
        ? `Draw what to share by (${fromTo(2, p.divisors)}), say what is left over, and put it back.`
        : `Draw two numbers to share by (${fromTo(2, p.divisors)}), say what is left over with each, and choose one.`,
      left ? 'Move as many spaces as are left over.' : 'Nothing left over moves you 3 spaces; otherwise 1.',
    ],
    scoring: [],
    end: `When somebody is on space ${p.goal} or past it the round is played out; the farthest has won.`,
    ask: 'How do you know what is left over without sharing them all out?',
    tool: 'Share counters into trays.',
    smaller: `Draw numbers to ${Math.max(p.lowest + 10, smallerThan(p.highest))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [n, by], joined: '÷' }, say: 'So many, shared by so many.' },
      {
        picture: { draw: 'things', heaps: [...Array.from({ length: by }, (): [number] => [Math.min(9, Math.floor(n / by))]), [0, n % by]] },
        say: 'What is left over?',
      },
      { picture: { draw: 'track', from: 0, to: p.goal, pegs: [at], jump: [at, at + (left ? Math.max(1, n % by) : 1)] }, say: 'Move on.' },
    ],
  };
}
