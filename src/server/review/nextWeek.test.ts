import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { plans } from '../db/schema';
import { addEvidence, evidenceOf, explainedMastery } from '../evidence/evidenceStore';
import { graphOf } from '../db/graphOf';
import { createLearner, learnerById } from '../learners/learnerStore';
import type { PlanRow } from '../planning/planById';
import { titles } from '../shared/titles';
import { Workspace } from '../workspace.testing';
import { nextWeek } from './nextWeek';

const today = '2026-11-25';
const now = '2026-11-25T10:00:00.000Z';
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

const plan = { id: 'p', date: today } as PlanRow;
const child = (nickname: string, born: string, permanentSupports: string[] = []): string =>
  createLearner(place.db, { nickname, born, permanentSupports }, today, now).id;
function noted(learner: string, skill: string, result: 'stuck' | 'support' | 'alone', times = 1): void {
  addEvidence(
    place.db,
    Array.from({ length: times }, (_, i) => ({ learner, at: `2026-11-25T09:${10 + i}:00.000Z`, kind: 'note' as const, skill, result })),
    today,
    now,
  );
}
const lines = (...ids: string[]) =>
  nextWeek(
    place.db,
    graphOf(place.db),
    plan,
    ids.map((id) => {
      const learner = learnerById(place.db, id);
      const all = evidenceOf(place.db, id);
      return { learner, after: explainedMastery(place.db, learner, today), notes: all, all };
    }),
    titles(place.db),
  );

describe('next time, because of today', () => {
  it('takes up again what somebody was stuck on, with a tool, before those who go on', () => {
    const wren = child('Wren', '2019-09');
    const moss = child('Moss', '2019-03');
    noted(moss, 'pairs-of-10', 'alone', 4);
    noted(wren, 'make-ten', 'stuck', 2);
    const [first, second] = lines(moss, wren);
    expect(first).toMatchObject({ what: 'again', learner: wren });
    expect(first!.text).toMatch(/^Wren: “Make a ten on the way” again, with (?!no tool)/);
    expect(second).toMatchObject({ what: 'on', learner: moss });
    expect(second!.text).toMatch(/^Moss (goes on to|holds) “/);
  });
  it('lets a child keep its tool', () => {
    const wren = child('Wren', '2019-09', ['bead-frame']);
    noted(wren, 'add-in-10', 'support');
    expect(lines(wren)[0]!.text).toMatch(/again, with bead frame\.$/);
  });
  it('is at most seven lines, one a child, and none for whom nothing was noted', () => {
    const all = Array.from({ length: 9 }, (_, i) => child(`Child ${i}`, '2019-03'));
    for (const id of all.slice(1)) {
      noted(id, 'make-ten', 'stuck');
      noted(id, 'pairs-of-10', 'alone');
    }
    const found = lines(...all);
    expect(found).toHaveLength(7);
    expect(new Set(found.map((l) => l.learner)).size).toBe(7);
    expect(found.map((l) => l.learner)).not.toContain(all[0]);
  });
  it('says nothing of things to make where no session is planned', () => {
    expect(place.db.select().from(plans).all()).toEqual([]);
    expect(lines()).toEqual([]);
  });
});
