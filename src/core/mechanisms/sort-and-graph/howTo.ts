import { nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { GraphParameters } from './parameters';

export function howTo(p: GraphParameters): HowTo {
  const weights = Array.from({ length: p.trays }, (_, i) => (p.uneven === 'evenly' ? 1 : i + 1));
  const all = weights.reduce((a, b) => a + b, 0);
  const counts = weights.map((w) => Math.round((p.pieces * w) / all));
  return {
    setUp: [
      `Lay out ${p.trays} trays and ${many(p.pieces, 'piece')} of ${p.trays} sorts${p.uneven === 'evenly' ? ', about as many of each' : ', some sorts more than others'}.`,
      p.together ? 'Make one graph for the table.' : 'Everyone sorts and makes a graph of their own.',
    ],
    turn: [
      'Agree what the trays stand for, sort the pieces, and count each tray.',
      p.record === 'tally'
        ? 'Record each tray with tally marks in fives.'
        : `Record each tray with ${p.record === 'pictures' ? 'pictures' : 'a bar'}: one ${p.record === 'pictures' ? 'picture' : 'square'} stands for ${p.scale}.`,
      ...(p.questions > 0
        ? [
            `Ask each other ${many(p.questions, 'question')}${p.howManyMore ? ': how many, and how many more?' : ': how many, which has most, how many together?'}`,
            'Answer from the graph, with the trays covered.',
          ]
        : []),
    ],
    scoring: p.questions > 0 ? ['Each answer that is right is a point.'] : [],
    end: p.questions > 0 ? 'Done when everyone has asked.' : 'Done when the graph shows every tray.',
    ask: 'What can you see in the graph that you could not see in the trays?',
    tool: 'Put the pieces beside the graph, one to a square.',
    smaller: `Use ${Math.max(5, smallerThan(p.pieces))} pieces.`,
    presence: nearby('helps to agree what the trays stand for'),
    pictures: [
      { picture: { draw: 'things', heaps: counts.map((c): [number] => [Math.min(c, 12)]) }, say: 'Sort the pieces.' },
      {
        picture: {
          draw: 'columns',
          first: 1,
          heights: counts.map((c) => Math.ceil(c / p.scale)),
          full: Math.max(...counts.map((c) => Math.ceil(c / p.scale))) + 1,
          lit: p.trays,
        },
        say: p.record === 'tally' ? 'Make a mark for each.' : 'Colour a square for each.',
      },
      { picture: { draw: 'say', words: 'Which has most?' }, say: 'Ask each other.' },
    ],
  };
}
