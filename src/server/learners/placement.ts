import { graphOf } from '../db/graphOf';
import { mapOf } from '../../core/mastery/estimateMastery';
import type { Evidence, EvidenceResult } from '../../core/mastery/evidence';
import { nextQuestion } from '../../core/mastery/nextQuestion';
import type { PlacementNextWire } from '../../contract/wire/learners';
import type { Kept } from '../../contract/wire/route';
import type { Db } from '../db/db';
import { asEvidence } from '../evidence/evidenceRow';
import { evidenceOf } from '../evidence/evidenceStore';
import { refuse } from '../http/problemError';
import { learnerById } from './learnerStore';

export interface PlacementAnswer {
  readonly skill: string;
  readonly result: EvidenceResult;
}

/** The question to ask next, given what is on record and the answers of this sitting, which are not saved yet. */
export function placementNext(
  db: Db,
  id: string,
  answers: readonly PlacementAnswer[],
  strands: readonly string[] | undefined,
  leaveOut: readonly string[],
  thorough: boolean,
  today: string,
): Kept<PlacementNextWire> {
  const graph = graphOf(db);
  const learner = learnerById(db, id);
  const wrong = (strands ?? []).find((s) => !graph.strands.some((x) => x.id === s));
  if (wrong !== undefined) throw refuse('unknown-value', `There is no line "${wrong}".`, 'strands');
  for (const [i, a] of answers.entries())
    if (!graph.indexOf.has(a.skill)) throw refuse('unknown-skill', `There is no skill "${a.skill}".`, `answers.${i}.skill`);
  const now: Evidence[] = answers.map((a, i) => ({
    id: `now-${String(i).padStart(3, '0')}`,
    at: `${today}T23:59:${String(i % 60).padStart(2, '0')}.000`,
    kind: 'placement',
    skill: a.skill,
    result: a.result,
    correct: null,
    total: null,
    how: null,
    support: null,
    items: [],
    by: { role: 'organiser', ownChild: false },
  }));
  const kept = evidenceOf(db, id)
    .filter((r) => r.retractedAt === null)
    .map(asEvidence);
  const map = mapOf(graph, learner, [...kept, ...now], today);
  const lines = strands ?? graph.strands.map((s) => s.id);
  const replies = answers.map((a) => ({ skill: graph.indexOf.get(a.skill)!, alone: a.result === 'alone' }));
  const next = nextQuestion(graph, learner, map, today, lines, replies, { leaveOut: new Set(leaveOut), thorough });
  return next
    ? { next: graph.skills[next.skill]!.id, strand: next.strand, because: next.because, about: next.about }
    : { next: null, strand: null, because: null, about: answers.length };
}
