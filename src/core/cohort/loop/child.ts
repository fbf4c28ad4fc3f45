import type { LearnerFacts } from '../../mastery/evidence';
import type { MapState } from '../../mastery/mapState';
import { addDays } from '../../shared/days';
import { HALF_TERM } from '../simulateTerm';
import type { Player } from './world';

/** One child of a loop: who it truly is, and what the app has of it. */
export interface Child {
  readonly id: string;
  readonly truly: Player;
  readonly facts: LearnerFacts;
  readonly map: MapState;
  /** Steps that count: wanted within a year of the child's own line. */
  readonly targets: readonly number[];
  /** Steps whose estimates are judged: wanted within two years of it. */
  readonly near: readonly number[];
}

export const start = HALF_TERM.from;
export const dayOf = (day: number): string => addDays(start, day);
