import { below, type Rng, uniform } from '../shared/rng';
import type { SearchState } from './searchState';

/** Games of a learner that a move may look for: the best for that child alone. */
const bestEach = 12;

/** Where moves look for games: half the time among a child's own best, a third among games that are out already, else anywhere. */
export class Guide {
  private readonly best: readonly (readonly number[])[];

  constructor(private readonly state: SearchState) {
    const { L, G } = state;
    this.best = Array.from({ length: L }, (_, l) =>
      Array.from({ length: G }, (_, g) => g)
        .filter((g) => state.mayTake(l, g) && state.cap[g]! > 0)
        .map((g) => ({ g, worth: state.worth.alone(l, g) }))
        .sort((x, y) => y.worth - x.worth || x.g - y.g)
        .slice(0, bestEach)
        .map(({ g }) => g),
    );
  }

  game(learner: number, rng: Rng): number {
    const { state } = this;
    const kind = uniform(rng);
    if (kind < 0.5) {
      const own = this.best[learner]!;
      return own.length > 0 ? own[below(rng, own.length)]! : -1;
    }
    if (kind < 0.84) return state.game[below(rng, state.R * state.S)]!;
    return below(rng, state.G);
  }
}
