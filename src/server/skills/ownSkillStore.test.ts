import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { graphOf } from '../db/graphOf';
import { shippedGraph } from '../../contract/shippedData';
import { addEvidence, masteryOf } from '../evidence/evidenceStore';
import { createLearner, learnerById } from '../learners/learnerStore';
import { undoChange } from '../undo/undo';
import { problemOf, Workspace } from '../workspace.testing';
import { sumsToNine } from './ownSkill.testing';
import { addEdge, addSkill, changeSkill, ownList, removeEdge, removeSkill, type SkillInput } from './ownSkillStore';

const now = '2026-11-25T10:00:00.000Z';
const today = '2026-11-25';
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

const inUse = (id: string) => graphOf(place.db).skills[graphOf(place.db).indexOf.get(id) ?? -1];
const back = (change: string) => undoChange(place.db, change, now);

describe('a skill of the owner’s', () => {
  it('is in the graph at once, survives a stop, and is gone again when undone', () => {
    const { id, change } = addSkill(place.db, sumsToNine, now);
    expect([id, inUse(id)?.title]).toEqual(['sums-to-nine', 'Sums to nine']);
    place.openAgain();
    expect(inUse(id)?.predicate).toEqual({ op: 'add', result: [9, 9] });
    expect(back(change).what).toBe('Added the skill Sums to nine');
    expect(inUse(id)).toBeUndefined();
    expect(graphOf(place.db).skills.length).toBe(shippedGraph().skills.length);
  });
  it('can be changed and changed back, and the page that was open is told', () => {
    const { id } = addSkill(place.db, sumsToNine, now);
    const { version, change } = changeSkill(place.db, id, { ...sumsToNine, title: 'All of nine' }, 1);
    expect([version, inUse(id)!.title]).toEqual([2, 'All of nine']);
    expect(problemOf(() => changeSkill(place.db, id, sumsToNine, 1)).code).toBe('conflict');
    back(change);
    expect(inUse(id)!.title).toBe('Sums to nine');
    // Whoever still holds the version in between is refused.
    expect(problemOf(() => changeSkill(place.db, id, sumsToNine, 2)).code).toBe('conflict');
    expect(changeSkill(place.db, id, sumsToNine, 3).version).toBe(4);
  });
  it('comes back with its prerequisites when taking it away is undone', () => {
    const { id } = addSkill(place.db, sumsToNine, now);
    addEdge(place.db, id, 'pairs-of-10', 'heart', now);
    const { change } = removeSkill(place.db, id);
    expect(inUse(id)).toBeUndefined();
    back(change);
    expect(inUse(id)!.prerequisites).toEqual([
      { id: 'add-in-5', sort: 'idea' },
      { id: 'pairs-of-10', sort: 'heart' },
    ]);
  });
  it('stays while another needs it', () => {
    const { id } = addSkill(place.db, sumsToNine, now);
    const { change } = addEdge(place.db, 'add-in-20', id, 'idea', now);
    expect(problemOf(() => removeSkill(place.db, id)).code).toBe('unknown-skill');
    expect(inUse(id)).toBeDefined();
    back(change);
    removeSkill(place.db, id);
    expect(inUse(id)).toBeUndefined();
  });
  it('does not come back over one that was made anew under its name', () => {
    const { id } = addSkill(place.db, sumsToNine, now);
    const { change } = removeSkill(place.db, id);
    addSkill(place.db, { ...sumsToNine, looksLike: 'Made anew.' }, '2026-11-25T11:00:00.000Z');
    expect(problemOf(() => back(change))).toMatchObject({
      code: 'conflict',
      message: expect.stringContaining('stands in its place') as unknown,
    });
    expect(inUse(id)!.looksLike).toBe('Made anew.');
  });
  it('stays while something is noted about it', () => {
    const { id } = addSkill(place.db, sumsToNine, now);
    const learner = createLearner(place.db, { nickname: 'Fern', born: '2019-06' }, '2026-09-01', now).id;
    addEvidence(place.db, [{ learner, kind: 'note', skill: id, result: 'alone' }], today, now);
    expect(problemOf(() => removeSkill(place.db, id))).toMatchObject({ code: 'conflict', field: 'id' });
    const map = masteryOf(place.db, learnerById(place.db, learner), today);
    expect(map.find((e) => e.skill === id)).toMatchObject({ seen: true });
    expect(map).toHaveLength(shippedGraph().skills.length + 1);
  });
  it.each([
    [{ title: '  ' }, 'malformed', 'title'],
    [{ strand: 'juggling' }, 'unknown-value', 'strand'],
    [{ predicate: null }, 'malformed', 'whyNoItems'],
    [{ wantedAt: { us: 2, england: 6 } }, 'out-of-range', 'wantedAt.us'],
    [{ wantedAt: { us: 7, england: 99 } }, 'out-of-range', 'wantedAt.england'],
    [{ prerequisites: [{ id: 'nowhere', sort: 'idea' as const }] }, 'unknown-skill', 'prerequisites'],
  ] as const)('is refused with %j, naming the field', (wrong, code, field) => {
    expect(problemOf(() => addSkill(place.db, { ...sumsToNine, ...wrong } as SkillInput, now))).toMatchObject({ code, field });
    expect(ownList(place.db)).toEqual({ skills: [], edges: [] });
    expect(graphOf(place.db)).toBe(shippedGraph());
  });
});

describe('a prerequisite of the owner’s', () => {
  it('closes no circle, is there once, and lets go', () => {
    expect(problemOf(() => addEdge(place.db, 'add-in-5', 'add-in-20', 'idea', now)).code).toBe('cycle');
    const { change } = addEdge(place.db, 'add-in-20', 'count-back-20', 'heart', now);
    expect(problemOf(() => addEdge(place.db, 'add-in-20', 'count-back-20', 'idea', now)).code).toBe('duplicate');
    const gone = removeEdge(place.db, 'add-in-20', 'count-back-20');
    expect(inUse('add-in-20')!.prerequisites.map((p) => p.id)).not.toContain('count-back-20');
    back(gone.change);
    expect(inUse('add-in-20')!.prerequisites).toContainEqual({ id: 'count-back-20', sort: 'heart' });
    back(change);
    expect(graphOf(place.db)).toBe(shippedGraph());
    expect(problemOf(() => removeEdge(place.db, 'add-in-20', 'add-in-10')).field).toBe('needs');
  });
});
