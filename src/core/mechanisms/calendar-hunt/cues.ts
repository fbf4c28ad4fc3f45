import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['calendar hunt', 'calendar game', 'timetable game', 'days of the week race', '24 hour clock game'],
  signs: [
    ['month & days|day & move|marker|cards', 2.5],
    ['weekday|tuesday|monday & later|after', 2.5],
    ['what time ~ arrive|train', 2.5],
    ['hour|hours & 24|twenty', 2.5],
    ['calendar|weekday|weekdays & card|cards|move|later|race|game', 4.5],
    ['days of the week & later|after', 3.5],
    ['timetable|schedule & train|journey|arrive|later', 4.5],
    ['24|twenty four hour|hours & clock|time', 4],
  ],
  numbers: [],
  values: [
    ['timetable|schedule', { cards: 'timetable' }],
    ['24|twenty four hour', { cards: 'twenty-four-hours' }],
  ],
};
