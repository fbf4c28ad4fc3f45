import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { type CalendarParameters, DEFAULTS, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const calendarHunt: Mechanism<CalendarParameters> = {
  id: 'calendar-hunt',
  title: 'Calendar and timetable hunt',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone stands on a day of the calendar or an hour of the clock.',
    'A card says how much later it is; work out where that leads.',
    'Collect different days or hours.',
  ],
  played: { with: ['cards', 'board'], does: ['adds', 'counts'], moves: ['collects'], who: ['in-turn'], ends: ['score'] },
  earlyEnding: 'Everyone says which day or hour they are still missing, and which card would lead there.',
  told: ['comes to day {x} of the week and has {y}', 'comes to {x} o’clock and has {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: [],
  headStart: 'counters',
  check: (p) =>
    firstOf(
      p.longest < 2 * p.step && impossible('longest', `A journey must be ${2 * p.step} minutes at least when times go by ${p.step}.`),
      p.cards === 'timetable' && p.longest < 60 && impossible('longest', 'Journeys of less than an hour lead to one hour only.'),
    ),
  checkTable: (seats) => sharedBy(seats, ['cards', 'goal']),
  channels: () => [
    { op: 'day-after', unknown: 'result', rep: 'picture', a: [0, 6], b: [1, 31] },
    { op: 'clock-24', unknown: 'result', rep: 'clock', a: [0, 1439], b: [0, 0] },
    { op: 'elapsed-time', unknown: 'result', rep: 'clock', a: [0, 719], b: [0, 300] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    p.cards === 'days-later' ? { kind: 'calendar-page', quantity: 1 } : { kind: 'clock-face', quantity: 1 },
    ...(p.cards === 'days-later' ? [{ cards: [1, p.most] as const, each: 2 }] : [{ kind: 'timetable', quantity: 1 }]),
    { kind: 'pegs', quantity: seats },
    { kind: 'two-colour-counters', quantity: 7 * seats },
  ],
  sheets: (p) => [
    p.cards === 'days-later'
      ? { sheet: 'number-cards', copies: 1, data: { low: 1, high: p.most, copies: 2 } }
      : { sheet: 'time-cards', copies: 1, data: { cards: p.cards, step: p.step, longest: p.longest, count: 24 } },
  ],
};
