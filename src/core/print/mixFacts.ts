/** A fact of one operation by its two numbers, as it is asked. */
export type Fact = readonly [a: number, b: number];

/** Known facts beside each one to practise (common practice, no source). */
const knownBeside = 2;
/** Cards of a set that is laid at one table. */
const usualMost = 18;

const keyOf = (f: Fact): string => f.join();

/**
 * Facts for a set of one's own that looks like everyone's: two that are known to each one that is to be practised, so that most
 * answers come easily. Where too few are known, easy ones fill up, and those that are left over wait for the next set.
 */
export function mixFacts(practise: readonly Fact[], known: readonly Fact[], easy: readonly Fact[], most = usualMost): Fact[] {
  const taken = new Set<string>();
  const take = (list: readonly Fact[], n: number): Fact[] => {
    const some: Fact[] = [];
    for (const f of list) {
      if (some.length >= n) break;
      if (taken.has(keyOf(f))) continue;
      taken.add(keyOf(f));
      some.push(f);
    }
    return some;
  };
  const asked = take(practise, Math.max(1, Math.floor(most / (knownBeside + 1))));
  // What waits to be practised is no easy fact, whoever lists it as one.
  for (const f of practise) taken.add(keyOf(f));
  const room = asked.length * knownBeside;
  const beside = take(known, room);
  beside.push(...take(easy, room - beside.length));
  return [...asked, ...beside];
}
