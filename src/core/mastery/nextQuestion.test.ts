import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { numberStrands } from '../cohort/placeLearner';
import { readMap } from './estimateMastery';
import type { EvidenceResult, LearnerFacts } from './evidence';
import { emptyMap, type MapState, seeEvidence } from './mapState';
import { mostQuestions, type NextQuestion, nextQuestion, type PlacementReply } from './nextQuestion';

const graph = shippedGraph();
const today = '2026-11-20';
const aged = (age: number): LearnerFacts => ({
  born: `${2026 - Math.floor(age)}-11`,
  framework: 'us',
  permanentSupports: [],
  supportsInUse: [],
});

interface Asked extends NextQuestion {
  readonly result: EvidenceResult;
}

/** A whole talk, with answers by whoever is asked. */
function talk(
  who: LearnerFacts,
  answer: (k: number) => EvidenceResult,
  lines = numberStrands,
  thorough = false,
): { asked: Asked[]; map: MapState } {
  const map = emptyMap(graph);
  const replies: PlacementReply[] = [];
  const asked: Asked[] = [];
  const next = () => nextQuestion(graph, who, map, today, lines, replies, { thorough });
  for (let q = next(); q; q = next()) {
    const result = answer(q.skill);
    asked.push({ ...q, result });
    seeEvidence(graph, who, map, {
      id: `q${asked.length}`,
      at: `2026-11-20T10:00:${String(asked.length).padStart(2, '0')}Z`,
      kind: 'placement',
      skill: graph.skills[q.skill]!.id,
      result,
      correct: null,
      total: null,
      how: null,
      support: null,
      items: [],
      by: { role: 'organiser', ownChild: false },
    });
    replies.push({ skill: q.skill, alone: result === 'alone' });
  }
  return { asked, map };
}
const dateOf = (k: number): number => graph.skills[k]!.wantedAt.us;
/** Somebody exactly at the dates of the list, so many years ahead. */
const atNorm =
  (age: number, ahead = 0) =>
  (k: number): EvidenceResult =>
    dateOf(k) <= age + ahead ? 'alone' : 'stuck';

const lowestOf = (line: string): number => Math.min(...graph.skills.flatMap((s) => (s.strand === line ? [s.wantedAt.us] : [])));

describe('a placement', () => {
  it.each([5, 6, 7, 8, 9, 10, 11])(
    'of somebody of %i begins with something sure, goes line by line, and asks two or three questions on each',
    (age) => {
      const { asked } = talk(aged(age), atNorm(age));
      expect(asked[0]!.because).toBe('sure');
      // At five hardly anything is sure yet.
      if (age > 5) expect(asked[0]!.result).toBe('alone');
      const lines = asked.map((q) => q.strand);
      // Once a line is left it is not come back to.
      expect(lines.filter((s, i) => s !== lines[i - 1])).toEqual([...new Set(lines)]);
      for (const line of new Set(lines)) {
        const n = lines.filter((s) => s === line).length;
        // One is all there is where the lowest step of a line is not there yet.
        const lowest = lowestOf(line);
        expect(n === 1 ? dateOf(asked.find((q) => q.strand === line)!.skill) : lowest).toBe(lowest);
        expect(n).toBeLessThanOrEqual(3);
      }
      expect(asked.length).toBeLessThanOrEqual(mostQuestions);
    },
  );
  it('asks at least once on every line in question, and below what was found open', () => {
    for (const age of [6, 8, 10]) {
      const who = aged(age);
      const before = readMap(graph, who, emptyMap(graph), today);
      const { asked } = talk(who, atNorm(age));
      const inQuestion = numberStrands.filter((s) =>
        before.some((e, k) => graph.skills[k]!.strand === s && e.mastery > 0.1 && e.mastery < 0.9),
      );
      for (const line of inQuestion) expect(asked.map((q) => q.strand)).toContain(line);
      for (const line of inQuestion) {
        const mine = asked.filter((q) => q.strand === line);
        const there = mine.filter((q) => q.result === 'alone').map((q) => dateOf(q.skill));
        const not = mine.filter((q) => q.result !== 'alone').map((q) => dateOf(q.skill));
        // Either both ends were seen, or the line was followed to its end of three.
        expect(
          there.length > 0 && not.length > 0
            ? Math.min(...there) <= Math.max(...not)
            : mine.length === 3 || not.length === 0 || dateOf(mine[0]!.skill) === lowestOf(line),
        ).toBe(true);
      }
    }
  });
  it('usually takes ten to fourteen questions', () => {
    const lengths = [6, 7, 8, 9, 10]
      .flatMap((age) => [-0.7, 0, 0.7].map((ahead) => talk(aged(age), atNorm(age, ahead)).asked.length))
      .sort((x, y) => x - y);
    const middle = lengths[Math.floor(lengths.length / 2)]!;
    expect(middle).toBeGreaterThanOrEqual(10);
    expect(middle).toBeLessThanOrEqual(14);
  });
  it('finds a child two years ahead and one behind', () => {
    const of = (ahead: number) => {
      const { map } = talk(aged(8), atNorm(8, ahead));
      const e = readMap(graph, aged(8), map, today);
      return graph.skills.reduce((sum, s, k) => sum + (numberStrands.includes(s.strand) ? e[k]!.mastery : 0), 0);
    };
    expect(of(2)).toBeGreaterThan(of(0) + 8);
    expect(of(-2)).toBeLessThan(of(0) - 8);
  });
  it('steps up after what went well and down after what did not', () => {
    const { asked } = talk(aged(8), () => 'stuck');
    for (const [i, q] of asked.entries()) if (i > 0 && asked[i - 1]!.strand === q.strand) expect(q.because).toBe('below');
    const well = talk(aged(8), () => 'alone').asked;
    for (const [i, q] of well.entries())
      if (i > 0 && well[i - 1]!.strand === q.strand && q.because !== 'below')
        expect(dateOf(q.skill)).toBeGreaterThanOrEqual(dateOf(well[i - 1]!.skill));
  });
  it('asks on between what is there and what is not when somebody wants to know more exactly', () => {
    expect(talk(aged(8), atNorm(8), ['add'], true).asked.length).toBeGreaterThan(talk(aged(8), atNorm(8), ['add']).asked.length);
  });
  it('says about how long it will take, nearer and nearer', () => {
    const { asked } = talk(aged(8), atNorm(8));
    expect(Math.abs(asked.at(-1)!.about - asked.length)).toBeLessThanOrEqual(1);
    for (const q of asked) expect(Math.abs(q.about - asked.length)).toBeLessThanOrEqual(5);
  });
  it('leaves a line alone of which enough was seen lately, and asks nothing about no line', () => {
    const { map } = talk(aged(8), atNorm(8), ['add']);
    expect(nextQuestion(graph, aged(8), map, today, ['add'], [])).toBeNull();
    expect(nextQuestion(graph, aged(8), map, '2027-01-20', ['add'], [])).not.toBeNull();
    expect(nextQuestion(graph, aged(8), emptyMap(graph), today, [], [])).toBeNull();
  });
  it('passes over what nobody could tell about', () => {
    const first = nextQuestion(graph, aged(8), emptyMap(graph), today, ['add'], [])!;
    const other = nextQuestion(graph, aged(8), emptyMap(graph), today, ['add'], [], {
      leaveOut: new Set([graph.skills[first.skill]!.id]),
    })!;
    expect(other.skill).not.toBe(first.skill);
  });
});
