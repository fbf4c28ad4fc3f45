import { openDb } from '../db/open';
import { ProblemError } from '../http/problemError';
import { learnerById } from '../learners/learnerStore';
import { planById } from '../planning/planById';
import { gameById } from '../shelf/shelfRows';

const titleOf = {
  learner: (id: string): string => learnerById(openDb(), id).nickname,
  game: (id: string): string => gameById(openDb(), id).title,
  session: (id: string): string => planById(openDb(), id).date,
} as const;

/** What a page is about, by name, for its title; null when it is not there. */
export function pageTitle(what: keyof typeof titleOf, id: string): string | null {
  try {
    return titleOf[what](id);
  } catch (error) {
    if (error instanceof ProblemError && error.problem.code === 'not-found') return null;
    throw error;
  }
}
