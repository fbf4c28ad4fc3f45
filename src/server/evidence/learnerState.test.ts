import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { allLearners, createLearner } from '../learners/learnerStore';
import { Workspace } from '../workspace.testing';
import { addEvidence, explainedMastery, retractEvidence } from './evidenceStore';
import { allEstimates } from './learnerState';

const today = '2026-11-25';
const now = '2026-11-25T10:00:00.000Z';
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

const note = (learner: string, day: number) => ({
  learner,
  at: `2026-11-${day}T10:00:00.000Z`,
  kind: 'note' as const,
  skill: 'make-ten',
  result: 'alone' as const,
});
/** What is kept of each child against every note read anew. */
function agree(): void {
  const learners = allLearners(place.db);
  const all = allEstimates(place.db, learners, today);
  expect(all.size).toBe(learners.length);
  for (const l of learners)
    expect([l.id, ...all.get(l.id)!.map((e) => e.mastery)]).toEqual([l.id, ...explainedMastery(place.db, l, today).map((e) => e.mastery)]);
}

describe('maps of many children', () => {
  it.each([29, 31])('say the same as each by itself (%d), also after a note, after one taken back, and after a start', (many) => {
    const ids = Array.from({ length: many }, (_, i) => createLearner(place.db, { nickname: `Child ${i}`, born: '2018-03' }, today, now).id);
    const { ids: notes } = addEvidence(place.db, [note(ids[0]!, 10), note(ids[0]!, 11), note(ids[1]!, 10)], today, now);
    agree();
    addEvidence(place.db, [note(ids[0]!, 12), note(ids[2]!, 12)], today, now);
    agree();
    retractEvidence(place.db, notes[1]!, 'wrong child', now);
    agree();
    place.openAgain();
    agree();
  });
});
