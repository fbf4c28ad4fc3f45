import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { goalSkills, mapOf, readMap } from '../mastery/estimateMastery';
import { ageOn, type Evidence, type LearnerFacts } from '../mastery/evidence';
import { rightAt } from '../mastery/field';
import { seeEvidence } from '../mastery/mapState';
import { FIELD } from '../mastery/parameters';
import { closeness } from './learnerNeeds';
import { checkIsDue, informationAt, whatToCheck } from './whatToCheck';

const graph = shippedGraph();
const at = (id: string): number => graph.indexOf.get(id)!;
const idOf = (k: number): string => graph.skills[k]!.id;
const today = '2026-11-20';
const finch: LearnerFacts = { born: '2018-11', framework: 'us', permanentSupports: [], supportsInUse: [] };
const sheet = (skill: string, correct: number, day = today): Evidence => ({
  id: `${skill}${day}`,
  at: `${day}T08:00:00Z`,
  kind: 'check-in',
  skill,
  result: null,
  correct,
  total: 10,
  how: null,
  support: null,
  items: [],
  by: { role: 'organiser', ownChild: false },
});

describe('what a sheet tells', () => {
  it('is Fisher’s information: the slope of the chance, squared, over its variance', () => {
    for (const theta of [-2, -0.5, 0, 0.7, 1.4, 3]) {
      const h = 1e-5;
      const slope = (rightAt(theta + h, 0, FIELD) - rightAt(theta - h, 0, FIELD)) / (2 * h);
      const p = rightAt(theta, 0, FIELD);
      expect(informationAt(theta, 10)).toBeCloseTo((10 * slope ** 2) / (p * (1 - p)), 6);
    }
    expect(informationAt(4, 10)).toBeLessThan(informationAt(0.5, 10));
  });
});

describe('the step that is worth a sheet', () => {
  it('is one in doubt, near the age, and not one that is surely held or years away', () => {
    const [first] = whatToCheck(graph, finch, mapOf(graph, finch, [], today), today);
    const wanted = graph.skills[first!.skill]!.wantedAt.us;
    expect(Math.abs(wanted - 8)).toBeLessThan(1.5);
    const list = whatToCheck(graph, finch, mapOf(graph, finch, [], today), today).map((x) => x.skill);
    expect(list.indexOf(at('count-to-10'))).toBeGreaterThan(100);
    expect(list.indexOf(at('fraction-divide'))).toBeGreaterThan(100);
  });
  it('is no longer the same once the sheet was done, and each sheet settles less', () => {
    const map = mapOf(graph, finch, [], today);
    const asked: number[] = [];
    let before = Infinity;
    for (let i = 0; i < 4; i++) {
      const [best] = whatToCheck(graph, finch, map, today);
      expect(asked).not.toContain(best!.skill);
      expect(best!.settles).toBeLessThan(before);
      before = best!.settles;
      asked.push(best!.skill);
      seeEvidence(graph, finch, map, { ...sheet(idOf(best!.skill), 7), id: `s${i}` });
    }
  });
  it('settles about what it says, over all that the sheet may bring', () => {
    // By brute force: Σ worth × p(1 − p) before, less what is left after each possible sheet, by how likely that sheet is.
    const map = mapOf(graph, finch, [], today);
    const before = readMap(graph, finch, map, today);
    const age = ageOn(finch.born, today);
    const doubt = (e: typeof before): number =>
      e.reduce((sum, { mastery }, k) => sum + closeness(graph.skills[k]!.wantedAt.us - age) * mastery * (1 - mastery), 0);
    const list = whatToCheck(graph, finch, map, today);
    const told: number[] = [];
    const found: number[] = [];
    for (const x of [list[0]!, list[20]!, list[60]!, list[120]!, list[180]!]) {
      const { theta, spread } = before[x.skill]!;
      const chances = Array.from({ length: 11 }, () => 0);
      let total = 0;
      for (let z = -4; z <= 4; z += 0.1) {
        const p = rightAt(theta + spread * z, 0, FIELD);
        const weight = Math.exp(-0.5 * z * z);
        total += weight;
        for (let c = 0, ways = 1; c <= 10; ways = (ways * (10 - c)) / (c + 1), c++)
          chances[c]! += weight * ways * p ** c * (1 - p) ** (10 - c);
      }
      const left = chances.reduce((sum, w, c) => {
        const after = readMap(graph, finch, mapOf(graph, finch, [sheet(idOf(x.skill), c)], today), today);
        return sum + (w / total) * doubt(after);
      }, 0);
      told.push(x.settles);
      found.push(doubt(before) - left);
    }
    // In the same order, and the first within a third of it.
    expect([...found].sort((x, y) => y - x)).toEqual(found);
    expect(told[0]! / found[0]!).toBeGreaterThan(0.66);
    expect(told[0]! / found[0]!).toBeLessThan(1.5);
  });
  it('follows own goals where a child goes by them alone, and leaves out what nobody can ask', () => {
    const own = { ...finch, withoutNorms: true, goals: ['make-ten'] };
    const [first] = whatToCheck(graph, own, mapOf(graph, own, [], today), today);
    // A goal, or what it needs; and nothing presses but those.
    const wanted = goalSkills(graph, own);
    expect(wanted.has(first!.skill)).toBe(true);
    const beyond = mapOf(
      graph,
      own,
      [...wanted].map((k) => ({ ...sheet(idOf(k), 10), total: 200, correct: 200 })),
      today,
    );
    expect(whatToCheck(graph, own, beyond, today)[0]!.settles).toBeLessThan(first!.settles / 4);
    const rest = whatToCheck(graph, own, mapOf(graph, own, [], today), today, (k) => k === at('make-ten'));
    expect(rest.map((x) => x.skill)).not.toContain(at('make-ten'));
    expect(rest).toHaveLength(graph.skills.filter((s) => !s.parts).length - 1);
  });
  it('names other steps it tells about, never itself', () => {
    for (const x of whatToCheck(graph, finch, mapOf(graph, finch, [], today), today).slice(0, 40)) {
      expect(x.also).not.toContain(x.skill);
      expect(x.also.length).toBeLessThanOrEqual(3);
    }
  });
});

describe('a sheet is offered', () => {
  it.each([
    [null, true],
    ['2026-11-06', true],
    ['2026-11-07', false],
  ])('after a last look on %s: %s', (last, due) => expect(checkIsDue(last, today)).toBe(due));
});
