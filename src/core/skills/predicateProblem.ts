import type { Problem } from '../shared/codes';
import type { ItemPredicate } from './skill';

const spans = ['a', 'b', 'smaller', 'larger', 'result'] as const;

/** What no item can meet, however it is drawn: a span that runs backwards. Null when all is well. */
export function predicateProblem(p: ItemPredicate, at = 'predicate'): Problem | null {
  for (const name of spans) {
    const span = p[name];
    if (span && span[0] > span[1])
      return { code: 'out-of-range', field: `${at}.${name}`, message: `The span ${span[0]} to ${span[1]} runs backwards.` };
  }
  for (const [i, part] of (p.anyOf ?? []).entries()) {
    const inside = predicateProblem(part, `${at}.anyOf.${i}`);
    if (inside) return inside;
  }
  return p.not ? predicateProblem(p.not, `${at}.not`) : null;
}
