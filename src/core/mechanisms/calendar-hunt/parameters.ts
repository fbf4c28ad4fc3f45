import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  cards: oneOf('Cards tell', ['days-later', 'twenty-four-hours', 'timetable'], 'days-later'),
  most: whole('Most days later', 3, 31, 14),
  step: oneOf('Times go by', [60, 30, 15, 5], 15),
  longest: whole('Longest journey on the timetable, in minutes', 30, 300, 120),
  choose: whole('Cards to choose from', 1, 3, 2),
  goal: whole('Squares to collect', 3, 12, 6),
});
export type CalendarParameters = typeof DEFAULTS;
