/**
 * Whether the player to move can force the win when one to `most` may be taken from any
 * one pile, for two players. Taking the last wins: by the nim-sum of the piles modulo
 * (most + 1) (Bouton 1901). Taking the last loses: the same until every pile is at most
 * one modulo (most + 1), then the opposite.
 */
export function canForce(piles: ArrayLike<number>, most: number, lastWins: boolean): boolean {
  let sum = 0;
  let large = false;
  for (let i = 0; i < piles.length; i++) {
    const rest = piles[i]! % (most + 1);
    sum ^= rest;
    if (rest > 1) large = true;
  }
  return lastWins || large ? sum !== 0 : sum === 0;
}

/** Running totals from which the player to move loses, in a say-up-to race to `goal`. */
export function losingTotals(goal: number, most: number, lastWins: boolean): number[] {
  return Array.from({ length: goal + 1 }, (_, t) => t).filter((t) => (t === goal ? lastWins : !canForce([goal - t], most, lastWins)));
}
