export interface CautiousDose {
  readonly skill: string;
  readonly perTenMinutes: number;
}

/** Chances in ten minutes for a step that a row names and nobody has said or measured: two fifths of what a plain word of the owner counts. */
const named = 4;
/** Of a shipped game of the family it is likely to be, for no more than its strongest steps. */
const shareOfTwin = 0.4;
const strongest = 3;
/** From this chance on the family likeliest by its words may speak for a row. */
export const familySpeaksFrom = 0.5;
/** For a step of its grade, where nothing but the grade is known. */
const ofGrade = 1;

/**
 * What a row may be planned with until somebody says how it is played: the steps it names, else a careful part of the
 * shipped game it most likely is, else a step of its grade. Always less than what a word of the owner or a measurement
 * counts, so that a game that is known comes first.
 * @param namedSkills ids of the steps that its words or codes name
 * @param twin chances in ten minutes of the likeliest shipped game, strongest first or not; null where no family is likely
 * @param gradeSkills ids of steps of its grade, for a row that tells no more
 */
export function cautiousDoses(
  namedSkills: readonly string[],
  twin: readonly (readonly [skill: string, perTenMinutes: number])[] | null,
  gradeSkills: readonly string[],
): CautiousDose[] {
  if (namedSkills.length > 0) return namedSkills.map((skill) => ({ skill, perTenMinutes: named }));
  if (twin && twin.length > 0)
    return [...twin]
      .sort((x, y) => y[1] - x[1])
      .slice(0, strongest)
      .map(([skill, dose]) => ({ skill, perTenMinutes: Math.min(named, rounded(dose * shareOfTwin)) }))
      .filter((d) => d.perTenMinutes > 0);
  return gradeSkills.map((skill) => ({ skill, perTenMinutes: ofGrade }));
}

const rounded = (x: number): number => Math.round(x * 10) / 10;
