import type { CheckNextWire } from '../../contract/wire/learners';
import type { Kept } from '../../contract/wire/route';
import { checkIsDue, whatToCheck } from '../../core/recommend/whatToCheck';
import type { SkillGraph } from '../../core/skills/skillGraph';
import { canBeWritten } from '../../text/onASheet';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { evidenceOf } from '../evidence/evidenceStore';
import { mapOn } from '../evidence/learnerState';
import { learnerById } from './learnerStore';

const shown = 3;

const writable = new WeakMap<SkillGraph, readonly boolean[]>();
function writtenIn(graph: SkillGraph): readonly boolean[] {
  let list = writable.get(graph);
  if (!list) writable.set(graph, (list = graph.skills.map(canBeWritten)));
  return list;
}

/** The sheets that would tell most about a child now, and whether the last look lies two weeks back. */
export function checkNext(db: Db, id: string, today: string): Kept<CheckNextWire> {
  const graph = graphOf(db);
  const learner = learnerById(db, id);
  const looks = evidenceOf(db, id).filter((e) => e.retractedAt === null && (e.kind === 'check-in' || e.kind === 'placement'));
  const last = looks.reduce<string | null>((latest, e) => (latest === null || e.at > latest ? e.at : latest), null)?.slice(0, 10) ?? null;
  const asked = writtenIn(graph);
  const steps = whatToCheck(graph, learner, mapOn(db, learner, today), today, (k) => !asked[k]).slice(0, shown);
  return {
    due: checkIsDue(last, today),
    last,
    steps: steps.map((s) => ({ skill: graph.skills[s.skill]!.id, also: s.also.map((k) => graph.skills[k]!.id) })),
  };
}
