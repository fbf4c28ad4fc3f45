import { type Operation, operations } from '../items/item';
import type { Course } from './course';
import { meanDoses } from './meanDoses';
import type { Estimate, SimulationResult } from './simulationResult';

/** What a stored profile keeps of a simulation: enough to choose by, small enough to ship. */
export interface ProfileSummary {
  readonly engine: string;
  readonly seed: number;
  readonly seats: number;
  readonly games: number;
  readonly turns: Estimate;
  /** Minutes of play: a tenth of games are shorter than the first, a tenth longer than the last. */
  readonly minutes: readonly [number, number, number];
  /** Skill, chances for one learner in ten minutes, standard error; most first. */
  readonly doses: readonly (readonly [string, number, number])[];
  /** Operation and its share of all items. */
  readonly mix: readonly (readonly [Operation, number])[];
  readonly waiting: number;
  readonly choices: number;
  readonly idleTurns: number;
  readonly facts: number;
  /** How a game between like players goes; absent where nobody wins against another. */
  readonly course?: {
    readonly leadChanges: number;
    /** Share of the turns after which the winner is as good as known, in the middle game. */
    readonly known: number;
    readonly level: number;
    /** The weakest seat's part of the games won ÷ an even part, and its standard error. */
    readonly weakest: readonly [number, number];
  };
}

const dosesKept = 24;
const leastShare = 0.005;
const short = (n: number, digits = 4): number => Number(n.toPrecision(digits));

/** Doses are means over the seats of the table. */
export function profileSummary(r: SimulationResult, course: Course | null): ProfileSummary {
  const doses = [...meanDoses(r)]
    .map(([skill, d]) => [skill, short(d.mean), short(d.standardError, 2)] as const)
    .sort((x, y) => y[1] - x[1]);
  return {
    engine: r.engine,
    seed: r.seed,
    seats: r.seats,
    games: r.games,
    turns: { mean: short(r.turns.mean), standardError: short(r.turns.standardError, 2) },
    minutes: [short(r.minutes['0.1']!), short(r.minutes['0.5']!), short(r.minutes['0.9']!)],
    doses: doses.slice(0, dosesKept),
    mix: operations.map((op) => [op, short(r.shares[op].mean, 3)] as const).filter(([, share]) => share >= leastShare),
    waiting: short(r.measures['waitingShare']!, 3),
    choices: short(r.measures['choices']!, 3),
    idleTurns: short(r.measures['movelessShare']!, 3),
    facts: r.distinctFacts,
    ...(course && {
      course: {
        leadChanges: short(course.leadChanges.mean, 3),
        known: short(course.known, 3),
        level: short(course.level.mean, 2),
        weakest: [short(course.weakest.mean, 3), short(course.weakest.standardError, 2)],
      },
    }),
  };
}
