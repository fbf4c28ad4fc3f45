import { PDFDocument } from 'pdf-lib';
import { parse } from 'csv-parse/sync';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { graphOf } from '../db/graphOf';
import { groupMap } from '../../core/group/groupMap';
import { below, createRng } from '../../core/shared/rng';
import { addEvidence, evidenceOf, masteryOf, retractEvidence } from '../evidence/evidenceStore';
import type { GroupMapWire } from '../../contract/wire/group';
import type { Reply } from '../http/route';
import { createLearner, learnerById } from '../learners/learnerStore';
import { shortMaps } from '../learners/shortMaps';
import { heldAt } from '../../core/mastery/parameters';
import { problemOf, Workspace } from '../workspace.testing';
import { groupRoutes } from './groupRoutes';

const today = '2026-11-25';
const now = '2026-11-25T10:00:00.000Z';
let place: Workspace;
let ids: string[];

beforeAll(() => {
  place = new Workspace();
  ids = [
    ['Fern', '2017-09', 'Owls'],
    ['=Juno', '2019-04', 'Owls'],
    ['Clover', '2020-02', 'Larks'],
  ].map(([nickname, born, group]) => createLearner(place.db, { nickname: nickname!, born: born!, group: group! }, '2026-09-01', now).id);
  addEvidence(
    place.db,
    ids.slice(0, 2).flatMap((learner) =>
      (['stuck', 'stuck'] as const).map((result, i) => ({
        learner,
        at: `2026-11-1${i}T10:00:00.000Z`,
        kind: 'note' as const,
        skill: 'make-ten',
        result,
      })),
    ),
    today,
    now,
  );
});
afterAll(() => place.remove());

const ask = (path: string, query: Record<string, string> = {}) =>
  groupRoutes.find((r) => r.path === path)!.handle({ db: place.db, query, today } as never);
const map = (query: Record<string, string> = {}): GroupMapWire => ask('/group-map', query) as GroupMapWire;
const rows = (query: Record<string, string> = {}): Record<string, string>[] =>
  parse(String((ask('/group-map.csv', query) as Reply).body), { columns: true, bom: true }) as Record<string, string>[];

describe('the group', () => {
  it('has a cell for every learner and skill, of the height of the map', () => {
    const { learners, skills, cells } = map({ edge: 'false' });
    expect([learners.length, skills.length, cells.length]).toEqual([3, graphOf(place.db).skills.length, 3]);
    for (const [row, id] of learners.entries()) {
      const estimates = masteryOf(place.db, learnerById(place.db, id), today);
      for (const [column, skill] of skills.entries())
        expect(cells[row]![column]!.height).toBeCloseTo(estimates[graphOf(place.db).indexOf.get(skill)!]!.asSeen, 9);
    }
  });
  it('tells who was stuck last, as reading every note would', () => {
    const rng = createRng(5);
    const some = ['make-ten', 'pairs-of-10', 'add-in-20', 'count-to-20'];
    const results = ['stuck', 'stuck', 'alone', 'support'] as const;
    const { ids: added } = addEvidence(
      place.db,
      Array.from({ length: 60 }, (_, i) => ({
        learner: ids[below(rng, 3)]!,
        at: `2026-11-${String(12 + below(rng, 10)).padStart(2, '0')}T10:${String(i).padStart(2, '0')}:00.000Z`,
        kind: 'note' as const,
        skill: some[below(rng, some.length)]!,
        result: results[below(rng, results.length)]!,
      })),
      today,
      now,
    );
    for (let i = 0; i < added.length; i += 7) retractEvidence(place.db, added[i]!, 'wrong child', now);
    const graph = graphOf(place.db);
    const members = ids.map((id) => ({
      id,
      estimates: masteryOf(place.db, learnerById(place.db, id), today),
      evidence: evidenceOf(place.db, id).filter((e) => e.retractedAt === null),
    }));
    const byName = (list: GroupMapWire['stuck']) => [...list].sort((x, y) => (x.learner + x.skill < y.learner + y.skill ? -1 : 1));
    expect(map({ edge: 'false' }).stuck.length).toBeGreaterThan(2);
    expect(byName(map({ edge: 'false' }).stuck)).toEqual(byName(groupMap(graph, members, null, false).stuck as GroupMapWire['stuck']));
    expect(map({ edge: 'false', strands: 'fractions' }).stuck).toEqual(map({ edge: 'false' }).stuck);
    for (const [i, id] of added.entries()) if (i % 7 !== 0) retractEvidence(place.db, id, 'over', now);
  });
  it('is told at a glance by how many steps of a line are held', () => {
    const graph = graphOf(place.db);
    for (const short of shortMaps(place.db, today)) {
      const map = masteryOf(place.db, learnerById(place.db, short.learner), today);
      const held = graph.strands.map((s) => s.skills.filter((id) => map[graph.indexOf.get(id)!]!.asSeen >= heldAt).length);
      expect(short.lines.map((l) => l.held)).toEqual(held);
      expect(short.seen).toBe(map.some((e) => e.seen));
    }
  });
  it('narrows to a group and to lines', () => {
    expect(map({ group: 'Larks' }).learners).toEqual([ids[2]]);
    const add = graphOf(place.db).strands.find((s) => s.id === 'add')!.skills;
    expect([...map({ strands: 'add', edge: 'false' }).skills].sort()).toEqual([...add].sort());
    expect(problemOf(() => map({ strands: 'add,juggling' }))).toMatchObject({ code: 'unknown-value', field: 'strands' });
    expect(problemOf(() => map({ group: 'Nobody' }))).toMatchObject({ code: 'not-found' });
  });
  it('tells who is stuck', () => {
    expect(
      map()
        .stuck.map((s) => [s.learner, s.skill])
        .sort(),
    ).toEqual(
      ids
        .slice(0, 2)
        .map((id) => [id, 'make-ten'])
        .sort(),
    );
  });
  it('goes out as CSV with the same numbers, a row for each learner and skill, and no cell a spreadsheet would run', () => {
    const found = rows({ strands: 'add', edge: 'false' });
    const { learners, skills } = map({ strands: 'add', edge: 'false' });
    expect(found).toHaveLength(learners.length * skills.length);
    const fern = masteryOf(place.db, learnerById(place.db, ids[0]!), today);
    for (const r of found.filter((x) => x['learner'] === 'Fern')) {
      const e = fern[graphOf(place.db).indexOf.get(r['skill id']!)!]!;
      expect([r['estimate'], r['low'], r['high'], r['seen or assumed']]).toEqual([
        e.mastery.toFixed(3),
        e.interval[0].toFixed(3),
        e.interval[1].toFixed(3),
        e.seen ? 'seen' : 'assumed',
      ]);
    }
    for (const r of found) for (const cell of Object.values(r)) expect(cell).not.toMatch(/^[=+@-]/);
    expect(new Set(found.map((r) => r['learner']))).toEqual(new Set(['Fern', "'=Juno", 'Clover']));
  });
  it('goes onto paper: a PDF that can be read, on A4, the same bytes for the same day', async () => {
    const bytes = async (): Promise<Uint8Array> => ((await ask('/group-map.pdf', { strands: 'add' })) as Reply).body as Uint8Array;
    const first = await bytes();
    const document = await PDFDocument.load(first);
    expect(document.getPageCount()).toBeGreaterThan(0);
    const { width, height } = document.getPage(0).getSize();
    // ISO 216: A4 is 210 × 297 mm; a point is 1/72 inch.
    expect([Math.round((Math.min(width, height) / 72) * 25.4), Math.round((Math.max(width, height) / 72) * 25.4)]).toEqual([210, 297]);
    expect(Buffer.from(await bytes()).equals(Buffer.from(first))).toBe(true);
  });
});
