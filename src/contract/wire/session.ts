import { oneOf, whole } from './schema';

/** Bounds of one session: work on it grows with their product, so no list may be longer. */
export const mostRounds = 8;

export const mostTables = 20;

export const mostPresent = 60;

export const status = oneOf('optimal', 'good', 'stopped-early', 'partial', 'infeasible');

export const perSession = {
  rounds: whole(1, mostRounds),
  minutes: whole(3, 120),
  tables: whole(0, mostTables),
  helpers: whole(0, 20),
};
