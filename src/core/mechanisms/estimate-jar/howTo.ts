import { nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { JarParameters } from './parameters';

export function howTo(p: JarParameters): HowTo {
  const n = Math.min(39, Math.round((p.fewest + p.most) / 2));
  const tens = p.counted === 'in-tens';
  const heaps: [number][] = tens
    ? [...Array.from({ length: Math.floor(n / 10) }, (): [number] => [10]), ...(n % 10 ? [[n % 10] as [number]] : [])]
    : [[n]];
  return {
    setUp: [
      `Fill ${many(p.jars, 'clear jar')} with ${p.fewest} to ${p.most} things, out of sight.`,
      p.known === 'a-jar-of-ten' ? 'Put a jar with exactly 10 of them beside.' : 'Nothing stands beside to compare with.',
    ],
    turn: [
      'Show a jar; everyone writes how many they think are in it.',
      tens ? 'Tip it out and make heaps of ten together; count the tens, then the ones.' : 'Tip it out and count them one by one together.',
      p.change === 'the-guess-may-change'
        ? 'When the first ten are counted everyone may change the guess once.'
        : 'A guess that is written stays.',
      'Say how far off you are, and whether it was too many or too few.',
    ],
    scoring: ['The nearest takes the jar: one point. A tie is nobody’s.'],
    end: `Stop after ${many(p.jars, 'jar')}.`,
    ask: 'How did you come to your guess?',
    tool: 'Hold ten of them in your hand and look again.',
    smaller: `Use at most ${Math.max(p.fewest + 3, smallerThan(p.most))} things.`,
    presence: nearby('fills the jars'),
    pictures: [
      { picture: { draw: 'things', heaps: [[n]] }, say: 'How many are in the jar?' },
      { picture: { draw: 'things', heaps, names: heaps.map((h) => h[0]) }, say: tens ? 'Make heaps of ten.' : 'Count them.' },
      { picture: { draw: 'say', words: String(n) }, say: 'Who is nearest?' },
    ],
  };
}
