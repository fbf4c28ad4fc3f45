import { mechanismById } from '../../core/mechanisms/registry';
import formerLines from '../../../data/library/formerLines.json';

const former = new Set(Object.values(formerLines as Readonly<Record<string, readonly string[]>>).flat());

/**
 * The lines an owner wrote for a game. Lines that once came with a game of the library or with its
 * family spoke for all versions alike; what each version plays is now told from its own numbers.
 */
export function ownLines(rules: readonly string[], families: readonly (string | null)[]): string[] {
  const general = new Set(families.flatMap((id) => (id === null ? [] : (mechanismById(id)?.words ?? []))));
  return rules.filter((line) => !former.has(line) && !general.has(line));
}
