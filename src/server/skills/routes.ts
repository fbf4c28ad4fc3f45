import { skillsWire } from '../../contract/wire/skills';
import { graphOf } from '../db/graphOf';
import { exampleItems } from '../../core/skills/exampleItems';
import { overlapsOf } from '../../core/skills/overlaps';
import { predicateProblem } from '../../core/skills/predicateProblem';
import { ProblemError } from '../http/problemError';
import { serve } from '../http/route';
import { itemText } from '../../text/itemText';
import { addEdge, addSkill, changeSkill, ownList, removeEdge, removeSkill } from './ownSkillStore';

const examplesWanted = 8;

export const skillRoutes = serve(skillsWire, {
  'POST /skills/examples': ({ db, body }) => {
    const graph = graphOf(db);
    const wrong = predicateProblem(body.predicate);
    if (wrong) throw new ProblemError(wrong);
    const { match, miss } = exampleItems(body.predicate, examplesWanted);
    return {
      match: match.map(itemText),
      miss: miss.map(itemText),
      overlaps: overlapsOf(graph, body.predicate, body.except ?? null)
        .slice(0, 6)
        .map((o) => ({ ...o, title: graph.skills[graph.indexOf.get(o.skill)!]!.title })),
    };
  },
  'GET /skills/own': ({ db }) => ownList(db),
  'POST /skills': ({ db, body, now }) => addSkill(db, body, now),
  'PUT /skills/{id}': ({ db, params, body: { version, ...input } }) => changeSkill(db, params.id, input, version),
  'DELETE /skills/{id}': ({ db, params }) => removeSkill(db, params.id),
  'POST /skills/{id}/needs': ({ db, params, body, now }) => addEdge(db, params.id, body.id, body.sort, now),
  'DELETE /skills/{id}/needs/{needs}': ({ db, params }) => removeEdge(db, params.id, params.needs),
});
