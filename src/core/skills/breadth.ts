import { acts, isAct } from '../items/acts';
import { operations, resultOf } from '../items/item';
import type { SkillGraph } from './skillGraph';

const highest = 100;

/**
 * How many different facts each skill takes in (operands 0 to 100 by 0 to 20): a narrow
 * skill tells more about a game than a broad one with the same dose.
 */
export function breadthsOf(graph: SkillGraph): Float64Array {
  const counts = new Float64Array(graph.skills.length).fill(1);
  for (const op of operations) {
    const asked = graph.askedFor.get(op)!;
    if (isAct(op)) {
      for (const [a, b] of acts[op].operands) {
        const item = { op, a, b, result: resultOf(op, a, b), unknown: 'result', rep: 'numerals' } as const;
        for (const k of asked) if (graph.tests[k]!(item)) counts[k]!++;
      }
      continue;
    }
    for (let a = 0; a <= highest; a++)
      for (let b = 0; b <= 20; b++) {
        if (op === 'divide' && b === 0) continue;
        const item = { op, a, b, result: resultOf(op, a, b), unknown: 'b', rep: 'numerals' } as const;
        const open = { ...item, unknown: 'result' } as const;
        for (const k of asked) if (graph.tests[k]!(item) || graph.tests[k]!(open)) counts[k]!++;
      }
  }
  return counts;
}
