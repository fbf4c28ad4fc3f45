import { alone, needed, type HowTo } from '../../play/howTo';
import { listed, many, smallerThan } from '../../play/say';
import type { StoryParameters } from './parameters';

const told: Readonly<Record<StoryParameters['situations'][number], string>> = {
  'add-to': 'something joins',
  'take-from': 'something leaves',
  together: 'two parts are put together',
  compare: 'two amounts are compared',
  groups: 'there are equal groups or rows',
  'times-as-many': 'one has several times as many',
  'two-steps': 'two things happen one after the other',
  'left-over': 'something is left over when it is shared',
};
const asked: Readonly<Record<StoryParameters['unknowns'][number], string>> = {
  result: 'how it ends',
  change: 'what happened between',
  start: 'how it began',
};

export function howTo(p: StoryParameters): HowTo {
  const aloud = p.readAloud === 'read-aloud-twice';
  const whole = Math.min(12, p.highest);
  const part = Math.max(p.lowest, Math.floor(whole / 3));
  return {
    setUp: [
      `Lay the story cards face down: in them ${listed(
        p.situations.map((s) => told[s]),
        'or',
      )}.`,
      `Numbers start at ${p.lowest}; no whole is above ${p.highest}. Asked for: ${listed(
        p.unknowns.map((u) => asked[u]),
        'or',
      )}.`,
      p.keyWords === 'none' ? 'No word gives away what to do; the story does.' : 'Some cards have a word that gives a hint.',
    ],
    turn: [
      aloud ? 'A reader reads your card aloud, plainly, twice.' : 'Read your card alone, then tell it.',
      p.drawIt ? 'Draw what happens before you work out any number.' : 'Say what happens in your own words before you work out any number.',
      'Say what is known and what is asked, and work it out.',
      'Put the answer back into the story: does it fit?',
    ],
    scoring: ['An answer that fits the story is a point.'],
    end: `Everyone solves ${many(p.cards, 'story', 'stories')}.`,
    ask: 'What happens in the story?',
    tool: 'Play it with counters.',
    smaller: `Use stories to ${Math.max(5, smallerThan(p.highest))}.`,
    presence: aloud ? needed('reads the stories') : alone,
    pictures: [
      { picture: { draw: 'say', words: '…' }, say: aloud ? 'Listen to the story.' : 'Read the story.' },
      { picture: { draw: 'things', heaps: [[whole - part, part]], names: [whole] }, say: 'Show what happens.' },
      { picture: { draw: 'say', words: '!' }, say: 'Does it fit?' },
    ],
  };
}
