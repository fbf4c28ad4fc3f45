import { alone, type HowTo } from '../../play/howTo';
import { smallerThan } from '../../play/say';
import type { SplitParameters } from './parameters';
import { splitsToFind } from './rules';

export function howTo(p: SplitParameters): HowTo {
  const first = Math.max(1, Math.round(p.counters * 0.6));
  const second = p.counters - first;
  const bag = p.from === 'bag';
  return {
    setUp: [
      bag
        ? `Put ${p.first} of one colour and ${p.second} of another into a bag you cannot see through.`
        : `Count ${p.counters} counters with two different sides into a cup.`,
    ],
    turn: [
      bag ? `Pull ${p.counters} without looking.` : 'Shake and spill them.',
      p.hide ? 'A hand hides one colour: see the other and say how many are hidden.' : 'Say how many show each colour.',
      ...(p.record ? ['Write the split as a sum.'] : []),
      p.order
        ? `Is the split new? ${first} and ${second} is another than ${second} and ${first}.`
        : `Is the split new? ${first} and ${second} is the same as ${second} and ${first}.`,
    ],
    scoring: ['A new split brings 2 points, an old one 1.'],
    end:
      p.ends === 'rounds'
        ? `Everyone spills ${p.rounds} times.`
        : `Stop when everyone has seen all ${splitsToFind(p).length} splits${p.zeros ? ', also all of one colour' : ''}.`,
    ask: 'How many are hidden, and how do you know?',
    tool: 'Lift the hand and count, then hide them again.',
    smaller: `Use ${Math.max(2, smallerThan(p.counters))} counters.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'things', heaps: [[p.counters]], names: [p.counters] }, say: bag ? 'Pull from the bag.' : 'Shake and spill.' },
      {
        picture: { draw: 'things', heaps: [[first, second]], names: [p.counters] },
        say: p.hide ? 'How many are hidden?' : 'How many of each?',
      },
      { picture: { draw: 'say', words: `${first} + ${second}` }, say: 'Say the split.' },
    ],
  };
}
