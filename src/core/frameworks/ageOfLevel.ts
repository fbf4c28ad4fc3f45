/**
 * Age in years at the end of an education level, when what it names is usually wanted:
 * CEDS levels (`PK`, `KG`, `01` …) and their common other spellings; US grade n ends at
 * n + 6 on average. Null where the level names no school year.
 * // => ageOfLevel('KG') is 6, ageOfLevel('03') is 9
 */
export function ageOfLevel(level: string | null): number | null {
  const text = (level ?? '').trim().toUpperCase();
  if (text === 'PK' || text === 'PR' || text === 'TK') return 5;
  if (text === 'KG' || text === 'K') return 6;
  const grade = /^(?:GRADE )?0?(\d{1,2})$/.exec(text);
  return grade && Number(grade[1]) >= 1 && Number(grade[1]) <= 13 ? Number(grade[1]) + 6 : null;
}
