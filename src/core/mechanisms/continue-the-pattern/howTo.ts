import { nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { PatternParameters } from './parameters';

const core = ['●', '▲', '■', '◆', '○', '△'];

export function howTo(p: PatternParameters): HowTo {
  const length = Math.min(p.longest, core.length);
  const repeat = Array.from({ length: Math.min(p.shown, 8) }, (_, i) => core[i % length]!);
  const grow = Array.from({ length: Math.min(p.shown, 6) }, (_, i) => 1 + i * p.step);
  const row: (string | number)[] = p.kind === 'grows' ? grow : repeat;
  const hole = p.asks === 'what-is-missing' ? Math.floor(row.length / 2) : row.length - 1;
  return {
    setUp: [
      `Give everyone ${p.tasks === 1 ? 'a pattern strip' : `${p.tasks} pattern strips`} of ${p.shown} pieces.`,
      p.kind === 'repeats'
        ? `A part of ${p.shortest === p.longest ? p.longest : `${p.shortest} to ${p.longest}`} pieces comes again and again.`
        : p.kind === 'grows'
          ? `Each pattern grows by the same step, at most ${p.step}.`
          : `In some a part of ${p.shortest} to ${p.longest} pieces repeats; others grow by a step of at most ${p.step}.`,
    ],
    turn: [
      'Say the pattern aloud.',
      p.kind === 'repeats'
        ? 'Find the part that repeats.'
        : p.kind === 'grows'
          ? 'Find by how much it grows.'
          : 'Find the part that repeats, or by how much it grows.',
      p.asks === 'what-comes-next'
        ? 'Lay what comes next.'
        : p.asks === 'what-is-missing'
          ? 'Lay the piece that is missing.'
          : 'Say what will stand further on, without laying all of it.',
      ...(p.makeOwn ? ['Make one for your neighbour, who goes on with it.'] : []),
    ],
    scoring: ['Right, checked by saying it all once more, is a point.'],
    end: `Everyone finishes ${many(p.tasks, 'pattern')}.`,
    ask: 'How do you know what comes there?',
    tool: 'Clap it, or lay it once more underneath.',
    smaller: p.kind === 'grows' ? `Use steps of at most ${Math.max(1, smallerThan(p.step))}.` : 'Use a part of two pieces.',
    presence: nearby('says the first pattern with them'),
    pictures: [
      { picture: { draw: 'cards', values: row.map((x, i) => (i === hole ? null : x)) }, say: 'Say the pattern.' },
      {
        picture: { draw: 'cards', values: row, lit: [hole] },
        say: p.asks === 'what-is-missing' ? 'What is missing?' : 'What comes there?',
      },
      { picture: { draw: 'say', words: row.slice(0, 4).join(' ') }, say: 'Say all of it again.' },
    ],
  };
}
