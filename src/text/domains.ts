/** Domains of the US framework in our own words, by the letters their codes hold. */
const domains: Readonly<Record<string, string>> = {
  CC: 'counting, and how many',
  OA: 'operations, and thinking in letters later',
  NBT: 'numbers in base ten',
  NF: 'fractions',
  MD: 'measuring and data',
  G: 'shapes and space',
  RP: 'ratios and proportions',
  NS: 'the number system',
  EE: 'expressions and equations',
  SP: 'statistics and chance',
};

/** What the letters of a domain stand for; the letters themselves where nobody has said. */
export const domainWords = (letters: string): string => domains[letters] ?? letters;
