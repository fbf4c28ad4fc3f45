/** An expectation and the steps that stand for it, by index of the skill graph. */
export interface Expected {
  readonly identifier: string;
  readonly skills: readonly number[];
}

/** A version that may practise it. */
export interface Practising {
  readonly game: string;
  readonly variant: string;
  /** Chances for one child in ten minutes, by index of the skill graph. */
  readonly doses: Float64Array;
}

/** How far an expectation has come: no game; a game; one in a plan; one played; a child noted on one of its steps after that. */
export const coverageStates = ['none', 'there', 'planned', 'played', 'seen'] as const;
export type CoverageState = (typeof coverageStates)[number];

export interface BestGame {
  readonly game: string;
  readonly variant: string;
  /** Index of the step it practises most of those that stand for the expectation. */
  readonly skill: number;
  readonly dose: number;
}

export interface Covered {
  readonly identifier: string;
  readonly state: CoverageState;
  /** Steps that some game practises, of all that stand for it. */
  readonly stepsWithGame: number;
  /** Steps that no game practises. */
  readonly lacks: readonly number[];
  /** One line a game, its best version, the largest dose first. */
  readonly games: readonly BestGame[];
}

/** A dose below this is not practice. */
export const leastDose = 2;

/** For each game its version with the largest dose on any of the steps, where that is practice; the largest first. */
export function gamesFor(skills: readonly number[], versions: readonly Practising[]): BestGame[] {
  const best = new Map<string, BestGame>();
  for (const { game, variant, doses } of versions)
    for (const skill of skills) {
      const dose = doses[skill]!;
      if (dose >= leastDose && dose > (best.get(game)?.dose ?? 0)) best.set(game, { game, variant, skill, dose });
    }
  return [...best.values()].sort((x, y) => y.dose - x.dose || (x.game < y.game ? -1 : 1));
}

/**
 * Which expectations have a game, and how far each has come.
 * @param planned variants that stand in a plan, @param played those of sessions that took place, @param noted steps that somebody noted
 */
export function standardsCovered(
  expectations: readonly Expected[],
  versions: readonly Practising[],
  {
    planned,
    played,
    noted,
  }: { readonly planned: ReadonlySet<string>; readonly played: ReadonlySet<string>; readonly noted: ReadonlySet<number> },
): Covered[] {
  return expectations.map(({ identifier, skills }) => {
    const games = gamesFor(skills, versions);
    const practises = versions.filter((v) => skills.some((k) => v.doses[k]! >= leastDose));
    const any = (among: ReadonlySet<string>): boolean => practises.some((v) => among.has(v.variant));
    const state: CoverageState =
      games.length === 0
        ? 'none'
        : any(played)
          ? skills.some((k) => noted.has(k))
            ? 'seen'
            : 'played'
          : any(planned)
            ? 'planned'
            : 'there';
    const lacks = skills.filter((k) => !practises.some((v) => v.doses[k]! >= leastDose));
    return { identifier, state, stepsWithGame: skills.length - lacks.length, lacks, games };
  });
}

/** Others that must practise everything a game practises before it can be spared. */
const othersEach = 2;

/**
 * Games that could be put away without an expectation being left with fewer than two others: the one that covers most
 * first. Each is judged by itself, so not all of them at once. @returns with each how many expectations it covers
 */
export function sparedGames(covered: readonly Pick<Covered, 'games'>[]): { readonly game: string; readonly covers: number }[] {
  const covers = new Map<string, number>();
  const needed = new Set<string>();
  for (const { games } of covered)
    for (const { game } of games) {
      covers.set(game, (covers.get(game) ?? 0) + 1);
      if (games.length <= othersEach) needed.add(game);
    }
  return [...covers]
    .filter(([game]) => !needed.has(game))
    .map(([game, n]) => ({ game, covers: n }))
    .sort((x, y) => y.covers - x.covers || (x.game < y.game ? -1 : 1));
}
