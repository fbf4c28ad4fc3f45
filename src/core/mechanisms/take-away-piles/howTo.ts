import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { TakeAwayParameters } from './parameters';

export function howTo(p: TakeAwayParameters): HowTo {
  const up = p.form === 'say-up-to';
  const after = up ? p.most + 2 : p.size - Math.min(2, p.most);
  return {
    setUp: [
      up
        ? `Start at 0; nothing is needed but your voices.`
        : `Make ${p.piles === 1 ? 'one pile' : `${p.piles} piles`} of ${p.size} counters${p.piles === 1 ? '' : ' each'} and count them together.`,
    ],
    turn: [
      up
        ? `Add 1 to ${p.most} to the number said before and say the new one.`
        : `Take 1 to ${p.most} from ${p.piles === 1 ? 'the pile' : 'one pile'} and say how many are left in it.`,
      p.last === 'wins'
        ? up
          ? `Whoever says ${p.size} wins.`
          : 'Whoever takes the last one wins.'
        : up
          ? `Whoever has to say ${p.size} loses.`
          : 'Whoever has to take the last one loses.',
    ],
    scoring: [],
    end: 'Play again: the other one begins.',
    ask: 'Which numbers would you like to leave for the other, and why?',
    tool: up ? 'Mark the numbers on a number line.' : 'Lay the counters in rows to see what is left.',
    smaller: up ? `Race to ${Math.max(5, smallerThan(p.size))}.` : `Use ${many(Math.max(3, smallerThan(p.size)), 'counter')}.`,
    presence: alone,
    pictures: [
      {
        picture: up
          ? { draw: 'track', from: 0, to: p.size, pegs: [2] }
          : { draw: 'things', heaps: Array.from({ length: p.piles }, (): [number] => [Math.min(p.size, 21)]), shape: 'stick' },
        say: up ? 'Start at nothing.' : 'Here is the pile.',
      },
      {
        picture: up
          ? { draw: 'track', from: 0, to: Math.min(p.size, 20), pegs: [2], jump: [2, after] }
          : {
              draw: 'things',
              heaps: [[Math.min(after, 19), Math.min(2, p.most)], ...Array.from({ length: p.piles - 1 }, (): [number] => [p.size])],
              shape: 'stick',
            },
        say: up ? `Add up to ${p.most}.` : `Take up to ${p.most}.`,
      },
      { picture: { draw: 'say', words: String(up ? p.size : 1) }, say: p.last === 'wins' ? 'The last one wins.' : 'The last one loses.' },
    ],
  };
}
