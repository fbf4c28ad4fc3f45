import type { SkillGraph } from '../skills/skillGraph';
import { plainWords } from './cells';

/** Skills meant by an id, a title or a code. */
export function skillFinder(graph: SkillGraph): (text: string) => readonly string[] {
  const byTitle = new Map(graph.skills.map((s) => [plainWords(s.title), s.id]));
  const byCode = new Map<string, string[]>();
  const add = (key: string, id: string): void => {
    const known = byCode.get(key);
    if (!known) byCode.set(key, [id]);
    else if (!known.includes(id)) known.push(id);
  };
  for (const s of graph.skills) for (const c of s.codes) for (const key of new Set([c.toUpperCase(), codeKey(c)])) add(key, s.id);
  return (text) => {
    const cell = text.trim();
    if (graph.indexOf.has(cell)) return [cell];
    const titled = byTitle.get(plainWords(cell));
    return titled ? [titled] : (byCode.get(cell.toUpperCase()) ?? byCode.get(codeKey(cell)) ?? []);
  };
}

/** A code without the name of its set and the letter of its cluster, which people leave out. // => codeKey('CCSS.MATH.CONTENT.1.OA.C.6') is '1.OA.6' */
export const codeKey = (code: string): string =>
  code
    .trim()
    .toUpperCase()
    .replace(/^CCSS\.(MATH\.)?(CONTENT\.)?/, '')
    .replace(/\.[A-Z]\.(?=\d)/, '.');
