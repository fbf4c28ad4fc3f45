import type { AskedSheet } from '../../contract/sheetRequest';
import type { Ink } from '../../core/print/inks';
import type { Paper } from '../../core/print/paper';
import { questionsOf, sheetOfQuestions } from '../../text/onASheet';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { checkNext } from '../learners/checkNext';
import type { PlanRow } from '../planning/planById';
import { titles } from '../shared/titles';

/** Draws of a sheet follow the day, so that the next one asks other questions. */
const drawOf = (day: string): number => Number(day.replaceAll('-', '')) % 1_000_000;

/**
 * A sheet of ten for those whom one would tell something about and who have a round to themselves; where everything is asked for,
 * for all whom it would. It is about the step that it would settle most of.
 */
export function checkIns(
  db: Db,
  plan: PlanRow,
  asked: { readonly everything?: boolean; readonly ink?: Ink },
  paper: Paper,
  today: string,
): AskedSheet[] {
  const graph = graphOf(db);
  const alone = new Set(plan.rounds.flatMap((r) => r.resting));
  const here = plan.request.present.filter((l) => asked.everything || alone.has(l));
  return here.flatMap((id): AskedSheet[] => {
    const { due, steps } = checkNext(db, id, today);
    const skill = graph.skills[graph.indexOf.get(steps[0]?.skill ?? '') ?? -1];
    if (!due || !skill) return [];
    const items = questionsOf(skill, graph.skills, drawOf(plan.date));
    if (items.length === 0) return [];
    const label = titles(db).learner(id).slice(0, 80);
    return [
      { sheet: 'question-sheet', parameters: sheetOfQuestions(skill.title, items), copies: 1, paper, ink: asked.ink ?? 'colour', label },
    ];
  });
}
