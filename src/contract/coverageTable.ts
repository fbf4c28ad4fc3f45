import { shippedGraph } from './shippedData';
import { shippedLibrary, shippedProfile } from './shippedLibrary';

/** A code of a framework, with the games of the library that practise it. */
export interface CodeRow {
  readonly code: string;
  /** Steps that belong to it. */
  readonly steps: readonly string[];
  readonly games: number;
  readonly versions: number;
  /** The strongest version, by chances in ten minutes; null where no game meets it. */
  readonly best: { readonly name: string; readonly step: string; readonly dose: number } | null;
}

/** Chances in ten minutes below which a version is not counted for a code. */
export const leastCounted = 1;

/** Each code in order, with how many games and versions meet one of its steps, and the best of them. */
export function coverageTable(codes: readonly string[]): CodeRow[] {
  const graph = shippedGraph();
  return codes.map((code) => {
    const steps = graph.skills.filter((s) => s.codes.includes(code)).map((s) => s.id);
    const games = new Set<string>();
    let versions = 0;
    let best: CodeRow['best'] = null;
    for (const g of shippedLibrary)
      for (const v of g.variants) {
        const met = (shippedProfile(g.id, v.id)?.doses ?? []).filter(([id, dose]) => steps.includes(id) && dose >= leastCounted);
        if (met.length === 0) continue;
        games.add(g.id);
        versions++;
        for (const [step, dose] of met) if (!best || dose > best.dose) best = { name: `${g.title}, ${v.title}`, step, dose };
      }
    return { code, steps, games: games.size, versions, best };
  });
}

/** The table as a page of the documentation. */
export function coveragePage(frameworks: readonly (readonly [title: string, codes: readonly string[]])[]): string {
  const parts = frameworks.map(([title, codes]) => {
    const rows = coverageTable(codes);
    const without = rows.filter((r) => r.best === null);
    return [
      `## ${title}`,
      '',
      `${rows.length - without.length} of ${rows.length} codes have a game${without.length > 0 ? `; without one: ${without.map((r) => r.code).join(', ')}` : ''}.`,
      '',
      '| code | steps | games | versions | best | chances in ten minutes |',
      '|---|---|---|---|---|---|',
      ...rows.map(
        (r) =>
          `| ${r.code} | ${r.steps.join(', ')} | ${r.games} | ${r.versions} | ${r.best ? `${r.best.name} (${r.best.step})` : '–'} | ${r.best ? r.best.dose.toFixed(1) : '–'} |`,
      ),
    ].join('\n');
  });
  return `# What the library covers

Written by \`npx vitest run --project core src/contract/coverageTable.test.ts -u\`. Codes as quoted from memory; doses calculated from the
rules of every shipped version, counted from ${leastCounted} chance in ten minutes.

${parts.join('\n\n')}
`;
}
