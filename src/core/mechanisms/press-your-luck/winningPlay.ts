/** Whether to throw on, by own score, the other's score and what the turn has gathered. */
export interface WinningPlay {
  /** Chance to win for who is about to begin a turn. */
  chance(own: number, other: number): number;
  throwsOn(own: number, other: number, gathered: number): boolean;
}

const closeEnough = 1e-11;
const known = new Map<string, WinningPlay>();

/**
 * The play that wins most often between two players with one die, where a one loses the
 * turn: value iteration over P(i, j, k), the chance to win with own score i, other score
 * j and k gathered,
 * P = max(1 − P(j, i + k, 0), (1 − P(j, i, 0) + Σ_{r=2..faces} P(i, j, k + r)) ÷ faces).
 * Holding leads to a larger sum of scores, so pairs of scores are solved from the end
 * backward, two unknowns at a time.
 * Source: T. W. Neller and C. G. M. Presser, Optimal Play of the Dice Game Pig (2004), from memory.
 *
 * Cost: about goal³ · faces steps, kept for later tables.
 */
export function winningPlay(goal: number, faces: number): WinningPlay {
  const key = `${goal}/${faces}`;
  const ready = known.get(key);
  if (ready) return ready;
  const start = new Float64Array(goal * goal).fill(0.5);
  const on = new Uint8Array(goal * goal * goal);
  const values = new Float64Array(goal + faces + 1);

  /** P(i, j, 0) when the other's chance after a lost turn is known; marks where to throw on. */
  const solve = (i: number, j: number, otherAfterLoss: number): number => {
    const left = goal - i;
    values.fill(1, left, left + faces + 1);
    for (let k = left - 1; k >= 0; k--) {
      let sum = 1 - otherAfterLoss;
      for (let r = 2; r <= faces; r++) sum += values[k + r]!;
      const throwing = sum / faces;
      const holding = k === 0 ? -1 : 1 - start[j * goal + i + k]!;
      on[(i * goal + j) * goal + k] = throwing > holding ? 1 : 0;
      values[k] = Math.max(throwing, holding);
    }
    return values[0]!;
  };

  for (let sum = 2 * goal - 2; sum >= 0; sum--) {
    for (let i = Math.min(goal - 1, sum); i >= sum / 2; i--) {
      const j = sum - i;
      if (j >= goal) continue;
      // Near scores have near chances, so the search starts there.
      const near = i + 1 < goal ? start[(i + 1) * goal + j]! : 0.7;
      start[j * goal + i] = j + 1 < goal ? start[(j + 1) * goal + i]! : 1 - near;
      for (let moved = 1; moved > closeEnough;) {
        const mine = solve(i, j, start[j * goal + i]!);
        const theirs = i === j ? mine : solve(j, i, mine);
        moved = Math.abs(theirs - start[j * goal + i]!);
        start[i * goal + j] = mine;
        start[j * goal + i] = theirs;
      }
    }
  }
  const play: WinningPlay = {
    chance: (own, other) => start[own * goal + other]!,
    throwsOn: (own, other, gathered) => on[(own * goal + other) * goal + gathered] === 1,
  };
  known.set(key, play);
  return play;
}
