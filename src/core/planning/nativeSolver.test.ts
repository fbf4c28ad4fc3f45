import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import { boundModel } from './boundModel';
import { exactModel } from './exactModel';
import type { PlanInstance } from './instance';
import { tight, withAims } from './instances.testing';
import { type LinearModel, lpText } from './linearModel';
import { seatModel } from './seatModel';

/** A solver of another make, where the system has one: COIN-OR CBC or GLPK. */
const native = (['cbc', 'glpsol'] as const).find((name) => spawnSync(name, ['--version']).error === undefined);

function solveOutside(model: LinearModel): number {
  const dir = mkdtempSync(join(tmpdir(), 'zeitgeber-lp-'));
  try {
    const file = join(dir, 'model.lp');
    const out = join(dir, 'out.txt');
    writeFileSync(file, lpText(model));
    if (native === 'cbc') {
      execFileSync('cbc', [file, 'ratioGap', '0', 'allowableGap', '0', 'solve', 'solution', out], { stdio: 'ignore' });
      return Number(/objective value\s+(\S+)/.exec(readFileSync(out, 'utf8'))![1]);
    }
    execFileSync('glpsol', ['--lp', file, '-o', out], { stdio: 'ignore' });
    return Number(/Objective:\s+\S+ = (\S+)/.exec(readFileSync(out, 'utf8'))![1]);
  } finally {
    rmSync(dir, { recursive: true });
  }
}

const inRounds = (base: PlanInstance, rounds: number): PlanInstance => ({
  ...base,
  rounds,
  resting: (base.resting ?? []).filter(([, r]) => r < rounds),
});
const models: readonly [string, () => LinearModel][] = [
  ['one round', () => exactModel(inRounds(tight(200), 1)).model],
  ['one round with every aim', () => exactModel(inRounds(withAims(tight(204), 204), 1)).model],
  ['two rounds', () => exactModel({ ...inRounds(tight(202), 2), learners: 7 }).model],
  ['the bound of three rounds', () => boundModel(tight(206))],
  ['what would seat all', () => seatModel({ ...tight(208), tables: 2 }, { relax: true }).model],
];

describe.skipIf(native === undefined)('a solver of another make', () => {
  it.each(models)('finds the same optimum for %s', async (_name, make) => {
    const solve = await loadSolver();
    const model = make();
    const here = solve(model, { seconds: 60 });
    expect(here.status).toBe('optimal');
    expect(solveOutside(model)).toBeCloseTo(here.objective, 4);
  });
});
