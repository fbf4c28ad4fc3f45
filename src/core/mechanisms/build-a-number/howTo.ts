import { nearby, type HowTo } from '../../play/howTo';
import { fromTo, many, smallerThan } from '../../play/say';
import type { BuildParameters } from './parameters';

/** A number of this version with different digits, and its parts. */
function exampleOf(p: BuildParameters): { n: number; parts: number[] } {
  let n = Math.round(p.lowest + (p.highest - p.lowest) * 0.37);
  while (n % 10 === 0 && n < p.highest) n++;
  const parts = [...String(n)].map((d, i, all) => Number(d) * 10 ** (all.length - 1 - i)).filter((x) => x > 0);
  return { n, parts };
}
const places = ['ones', 'tens', 'hundreds', 'thousands', 'ten thousands', 'hundred thousands'];

export function howTo(p: BuildParameters): HowTo {
  const { n, parts } = exampleOf(p);
  const digits = [...String(n)].reverse();
  const shown =
    p.asked === 'numeral' ? 'read it aloud' : p.asked === 'words' ? 'read its name aloud' : 'count the pieces on it and write the number';
  const pieces = p.highest >= 100 ? 'hundreds, tens and ones' : 'tens and ones';
  const heaps = digits.map((d): [number] => [Number(d)]).reverse();
  const names = digits.map((_, i) => places[i]!).reverse();
  return {
    setUp: [
      p.form === 'expanded-form' ? 'Lay the digit cards where all can reach them.' : `Lay ${pieces} where all can reach them.`,
      `Shuffle the number cards from ${fromTo(p.lowest, p.highest)}, face down.`,
    ],
    turn: [
      `Draw a number card and ${shown}.`,
      p.form === 'pieces'
        ? `Build it with ${pieces} and say how many of each.`
        : p.form === 'expanded-form'
          ? `Lay it as a sum of its parts: ${n} is ${parts.join(' + ')}.`
          : `Build it with ${pieces}, then lay it as a sum: ${n} is ${parts.join(' + ')}.`,
      ...(p.another ? ['Exchange a ten for ten ones and show it another way.'] : []),
      ...(p.compare ? ['When all have built, compare with your neighbour: whose is more?'] : []),
    ],
    scoring: ['A number built right is a point.'],
    end: `Everyone builds ${many(p.rounds, 'number')}.`,
    ask: 'What does each digit stand for?',
    tool: 'Say it slowly and lay one piece for each word.',
    smaller: `Use numbers to ${Math.max(12, smallerThan(p.highest))}.`,
    presence: nearby('listens how the first numbers are read'),
    pictures: [
      { picture: { draw: 'cards', values: [n] }, say: 'Draw a card.' },
      p.form === 'expanded-form'
        ? { picture: { draw: 'cards', values: parts, joined: '+', makes: String(n) }, say: 'Lay its parts.' }
        : { picture: { draw: 'things', heaps, names, shape: 'cube' }, say: 'Build it.' },
      { picture: { draw: 'say', words: String(n) }, say: 'Say the number.' },
    ],
  };
}
