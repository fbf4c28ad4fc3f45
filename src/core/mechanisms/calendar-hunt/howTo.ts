import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { CalendarParameters } from './parameters';

export function howTo(p: CalendarParameters): HowTo {
  const days = p.cards === 'days-later';
  const goal = Math.min(p.goal, days ? 7 : 12);
  const card = days
    ? `${Math.min(p.most, 10)} days later`
    : p.cards === 'twenty-four-hours'
      ? '17:30'
      : `${Math.max(p.step, 45)} min later`;
  const pick = p.choose === 1 ? 'Draw a card' : `Draw ${p.choose} cards and choose one`;
  return {
    setUp: [
      days
        ? 'Lay a page of the calendar in the middle; everyone puts a peg on a day of the first week.'
        : p.cards === 'timetable'
          ? 'Everyone puts a peg on an hour of the clock.'
          : 'Lay the twelve hours of the clock round the table.',
      days
        ? `The cards say 1 to ${p.most} days later.`
        : p.cards === 'timetable'
          ? `The cards say how long a journey takes: up to ${p.longest} minutes, by ${p.step}.`
          : `The cards show times counted through the whole day, by ${many(p.step, 'minute')}.`,
    ],
    turn: [
      `${pick}; work out where ${p.choose === 1 ? 'it leads' : 'each leads'} before you move.`,
      days
        ? 'Say the day of the week and move there.'
        : p.cards === 'timetable'
          ? 'Say when you arrive and move to that hour.'
          : 'Say the time as on a clock with twelve hours, and go to that hour.',
      days ? 'A day of the week you have not been on gives you a counter.' : 'An hour you have not been at gives you a counter.',
    ],
    scoring: [],
    end: `The first with ${goal} different ${days ? 'days' : 'hours'} has done it; the round is played out, and several may have.`,
    ask: days ? 'How do you know without counting every day?' : 'How did you get there: in one jump or in two?',
    tool: days ? 'Count along the calendar with a finger; seven days on is one line down.' : 'Move the hands of a clock.',
    smaller: days
      ? `Use cards to ${Math.max(3, smallerThan(p.most))} days.`
      : p.step === 60
        ? 'Collect fewer hours.'
        : 'Use whole hours only.',
    presence: alone,
    pictures: [
      {
        picture: { draw: 'cards', values: Array.from({ length: p.choose }, (_, i) => (i === 0 ? card : null)) },
        say: p.choose === 1 ? 'Draw a card.' : 'Choose a card.',
      },
      {
        picture: days
          ? {
              draw: 'grid',
              rows: 4,
              columns: 7,
              cells: Array.from({ length: 28 }, (_, i) => i + 1),
              done: [1],
              lit: [1 + Math.min(p.most, 10)],
            }
          : { draw: 'clock', minutes: p.cards === 'timetable' ? [120, 120 + Math.max(p.step, 45)] : [17 * 60 + 30 - 720] },
        say: days ? 'Which day is it then?' : 'What time is it then?',
      },
      {
        picture: { draw: 'say', words: days ? 'Friday!' : p.cards === 'timetable' ? '2:45!' : 'Half past five!' },
        say: 'Say it and move.',
      },
    ],
  };
}
