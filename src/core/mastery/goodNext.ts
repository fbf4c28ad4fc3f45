import { heldAt } from './parameters';

/** How many steps are pointed out at once. */
const most = 7;
/** Nobody has seen it, so it is worth a little less than what was seen to be open. */
const assumedShare = 0.5;
const aheadYears = 0.5;

interface Open {
  readonly skill: string;
  readonly mastery: number;
  readonly asSeen: number;
  readonly seen: boolean;
  readonly frontier: boolean;
}

/** The steps that are ready and matter most now: widest gap first, what was seen before what is assumed, what is wanted by an age before what comes later. */
export function goodNext<E extends Open>(all: readonly E[], age: number, wantedAt: (skill: string) => number): E[] {
  const worth = (e: E): number =>
    (0.9 - e.mastery) * (e.seen ? 1 : assumedShare) * Math.exp(-Math.max(0, wantedAt(e.skill) - age) / aheadYears);
  return all
    .filter((e) => e.frontier && e.asSeen < heldAt)
    .sort((x, z) => worth(z) - worth(x))
    .slice(0, most);
}
