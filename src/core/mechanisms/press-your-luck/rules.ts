import type { PressYourLuckParameters } from './parameters';

/** Whether a throw loses the turn. */
export function loses(p: PressYourLuckParameters, x: number, y: number): boolean {
  if (p.bust === 'seven') return p.dice === 2 ? x + y === 7 : x === Math.min(7, p.faces);
  const worst = p.bust === 'one' ? 1 : 2;
  return x <= worst || (p.dice === 2 && y <= worst);
}

/** Chance that one throw loses, and the mean of those that do not. */
export function throwOdds(p: PressYourLuckParameters): { lost: number; mean: number } {
  let lost = 0;
  let sum = 0;
  const seconds = p.dice === 2 ? p.faces : 1;
  for (let x = 1; x <= p.faces; x++)
    for (let y = 1; y <= seconds; y++) {
      const second = p.dice === 2 ? y : 0;
      if (loses(p, x, second)) lost++;
      else sum += x + second;
    }
  const all = p.faces * seconds;
  return { lost: lost / all, mean: lost === all ? 0 : sum / (all - lost) };
}

/**
 * Turn total from which another throw loses more than it brings: with chance q to lose
 * and mean gain g, throwing at total t changes the turn by (1−q)·g − q·t, so stop at
 * t ≥ (1−q)·g / q. With one six-sided die and a lost one this is 20.
 */
export function bestHold(p: PressYourLuckParameters): number {
  const { lost, mean } = throwOdds(p);
  return lost === 0 ? p.goal : Math.max(1, Math.ceil(((1 - lost) * mean) / lost - 1e-9));
}
