import { firstOf, impossible } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, SCHEMA, type StoryParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { channelsOf } from './rules';

export const storyCards: Mechanism<StoryParameters> = {
  id: 'story-cards',
  title: 'Story cards',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Draw a story card; it is read aloud, plainly, twice.',
    'Say what happens in your own words, or draw it, before any number is worked out.',
    'Say what is known and what is asked.',
    'Work it out and put the answer back into the story: does it fit?',
    'No word gives the operation away; the story does.',
  ],
  played: { with: ['cards'], does: ['adds', 'takes-away'], moves: ['tells'], who: ['in-turn'], ends: ['rounds'] },
  earlyEnding: 'Make up one story together about this room and leave it open for next time.',
  told: ['works out the story with {x} and {y}', 'hears the story of {x} and {y} again, with counters'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['toldAgain'],
  headStart: 'cards',
  check: (p) =>
    firstOf(
      p.highest < 3 * p.lowest &&
        impossible('highest', `Stories need a whole of at least ${3 * p.lowest} when no part is below ${p.lowest}.`),
    ),
  channels: (_p, seats) => channelsOf(Math.min(200, Math.max(...seats.map((s) => s.parameters.highest)))),
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [
    { kind: 'story-card-set', quantity: 1 },
    { kind: 'two-colour-counters', quantity: Math.min(20, p.highest) },
  ],
  sheets: (p, seats) => [{ sheet: 'story-cards', copies: 1, data: { ...p, count: Math.min(120, Math.max(12, p.cards * seats)) } }],
};
