import type { AskedSheet } from '../../contract/sheetRequest';
import { cautionsOnce } from '../../core/safety/hazards';
import { packPages, type SessionPack } from '../../core/print/pack/sessionPack';
import type { PackTable } from '../../core/print/pack/tableCard';
import type { Ink } from '../../core/print/inks';
import type { SheetLayout } from '../../core/print/layOut';
import type { SheetPage } from '../../core/print/sheetPage';
import type { Paper } from '../../core/print/paper';
import { missingLetters } from '../../core/print/letters';
import { sheetKindById } from '../../core/print/registry';
import { inArray } from 'drizzle-orm';
import { monthsBetween } from '../../core/shared/days';
import type { Db } from '../db/db';
import { learners } from '../db/schema';
import { ProblemError } from '../http/problemError';
import { gatherList } from '../prep/gatherList';
import { stripNumber } from '../../core/print/pack/stripNumber';
import type { Job } from '../jobs/jobList';
import type { PlanRow } from '../planning/planById';
import { planBWire } from '../planning/planBWire';
import { thenOf } from '../planning/thenOf';
import { wirePlan } from '../planning/wirePlan';
import { countryOf } from '../shared/country';
import { titles } from '../shared/titles';
import { forTables } from '../shelf/howToRoutes';
import { helpWords } from '../../text/sentences';
import { graphOf } from '../db/graphOf';
import { checkIns } from './checkIns';
import { dayText } from './dayText';
import { planBOn, sayOf } from './planBOn';
import { packSets } from './packSets';
import { layouts } from './printing';

/** Years from which a child is taken to read rules alone (common practice, no source). */
const readsFrom = 7;

/** Years of the youngest at a table. */
function youngest(db: Db, learnerIds: readonly string[], today: string): number {
  const born = db
    .select({ id: learners.id, born: learners.born })
    .from(learners)
    .where(inArray(learners.id, [...learnerIds]))
    .all();
  return Math.min(...born.map((l) => monthsBetween(l.born, today) / 12));
}

const presenceWords = { alone: 'children play alone', nearby: 'a grown-up nearby', needed: 'a grown-up at the table' } as const;

/**
 * A session on paper: the plan and what to gather, a card for every table, the sheets that are not in the boxes yet (all of them
 * where `everything` is asked), and their answers at the end.
 */
export async function sessionPack(
  db: Db,
  row: PlanRow,
  asked: { readonly paper?: Paper; readonly everything?: boolean; readonly ink?: Ink },
  today: string,
  run: <R>(job: Job<R>) => Promise<R>,
): Promise<{ title: string; parts: (AskedSheet | { readonly pages: readonly SheetPage[] })[] }> {
  const trouble = row.playedAt || row.rounds.length === 0 ? null : await run(planBWire(db, row, today)).catch(() => null);
  const plan = await wirePlan(db, row);
  const paper = asked.paper ?? countryOf(db).paper;
  const title = titles(db);
  const graph = graphOf(db);
  const seated = [...new Set(plan.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.variant))))];
  const rules = new Map(forTables(db, seated).map((r) => [r.variant, r]));
  const then = (await thenOf(db, row, today)).items;
  const tables = plan.rounds.flatMap((r, round) =>
    r.tables.map((t, table): PackTable => {
      const played = [...new Set(t.seats.map((s) => s.variant))].map((v) => rules.get(v)!);
      const told = played.find((p) => p.howTo)?.howTo;
      const next = then.find((x) => x.round === round && x.table === table)?.then;
      return {
        round: round + 1,
        table: table + 1,
        title: t.title,
        presence: t.grownUp ? 'a grown-up plays along' : presenceWords[told?.presence.is ?? (t.helper ? 'needed' : 'nearby')],
        seats: t.seats.map((s) => ({
          name: title.learner(s.learner),
          version: s.variantTitle,
          tool: s.tool === null ? '' : (helpWords[s.tool] ?? title.kind(s.tool).toLowerCase()),
          step: s.skill === null ? '' : (graph.skills[graph.indexOf.get(s.skill) ?? -1]?.short ?? ''),
          first: t.lookFor === s.learner,
          partner: s.with === null ? '' : title.learner(s.with),
        })),
        pictures:
          told &&
          youngest(
            db,
            t.seats.map((s) => s.learner),
            today,
          ) < readsFrom
            ? told.pictures
            : [],
        rules: played.map((p) => ({ version: p.title, lines: p.howTo?.card ?? p.own.slice(0, 5) })),
        ask: told?.ask ?? 'How do you know?',
        stuck: told?.tool ?? 'Lay it with things.',
        timeUp: told?.timeUp ?? 'Finish the turn, and tell what you would do next.',
        cautions: cautionsOnce(played.flatMap((p) => p.cautions)),
        strip: stripNumber({ number: row.number, round, table }),
        missing: sayOf(trouble?.without.find((w) => w.game === t.game)?.say.filter((s) => s.round === round)),
        then: next ? `Play ${next.title}, ${next.variantTitle}, with the same things.` : '',
      };
    }),
  );
  const wanted = packSets(
    db,
    plan.rounds.flatMap((r) => r.tables),
    asked,
    paper,
  );
  const { made, refused } = await laidOut(db, [...wanted.sets, ...checkIns(db, row, asked, paper, today)]);
  const list = gatherList(db, row);
  const pack: SessionPack = {
    title: 'Session',
    day: dayText(plan.date, countryOf(db).dates),
    minutes: plan.request.minutes,
    tables,
    resting: plan.rounds.flatMap((r, i) => [
      ...r.resting.map((l) => ({ round: i + 1, say: `${title.learner(l)} rests` })),
      ...r.meanwhile.map((m) => ({ round: i + 1, say: `${title.learner(m.learner)}: ${m.text}` })),
    ]),
    gather: list.bins.map((b) => ({
      bin: b.title,
      items: b.items.map((it) => ({
        say: `${it.quantity > 1 ? `${it.quantity} × ` : ''}${it.title}${hereWords(it)}`,
        state: it.state,
      })),
    })),
    ...planBOn(trouble, title, countryOf(db).dates),
    cautions: cautionsOnce(list.bins.flatMap((b) => b.items.flatMap((it) => it.caution ?? []))),
    sets: made.map(({ set, laid }) => `${nameOf(set)} (${laid.sheets})`),
    refused: [...wanted.refused, ...refused, ...lettersMissing(tables.flatMap((t) => [t.title, ...t.seats.map((s) => s.name)]))],
  };
  return {
    title: `session-${plan.date}`,
    parts: [{ pages: packPages(pack, paper) }, ...made.map((m) => m.set)],
  };
}

/** What is not there, behind a thing of the list. */
const hereWords = ({ state, have }: { readonly state: 'there' | 'short' | 'missing'; readonly have: number | null }): string =>
  ({ there: '', short: ` (only ${have ?? 0} there)`, missing: ' (not there)' })[state];

/** Names in letters that no bundled face has come as dots; that is said rather than found out at the table. */
function lettersMissing(names: readonly string[]): string[] {
  const odd = new Set(names.filter((n) => missingLetters(n).length > 0)).size;
  if (odd === 0) return [];
  const which = odd === 1 ? 'one name' : `${odd} names`;
  return [`${which} in other than Latin or Cyrillic letters, which come as dots. Write them by hand.`];
}

const nameOf = (set: AskedSheet): string => `${sheetKindById(set.sheet)!.title.toLowerCase()} for ${set.label ?? ''}`;

/** Sets as they will come, and those that cannot be made with the reason: the rest of a session is printed all the same. */
async function laidOut(
  db: Db,
  sets: readonly AskedSheet[],
): Promise<{ made: { readonly set: AskedSheet; readonly laid: SheetLayout }[]; refused: string[] }> {
  const made: { readonly set: AskedSheet; readonly laid: SheetLayout }[] = [];
  const refused: string[] = [];
  for (const set of sets)
    try {
      made.push({ set, laid: (await layouts(db, [set]))[0]! });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      refused.push(`${nameOf(set)}: ${error.problem.message}`);
    }
  return { made, refused };
}
