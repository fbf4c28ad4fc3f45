import { eq, lt } from 'drizzle-orm';
import { shippedLibrary } from '../contract/shippedLibrary';
import { monthBefore, weekdayOf } from '../core/shared/days';
import { todayHere } from '../server/shared/clock';
import { nameKey } from '../core/content/names';
import { ageOn } from '../core/mastery/evidence';
import { openDb } from '../server/db/open';
import { games, meetings, plans, settings } from '../server/db/schema';
import { addEvidence } from '../server/evidence/evidenceStore';
import { closePool } from '../server/jobs/pool';
import { checkNext } from '../server/learners/checkNext';
import { createLearner } from '../server/learners/learnerStore';
import { startPlan } from '../server/planning/startPlan';
import { wirePlan } from '../server/planning/wirePlan';
import { takeFromLibrary } from '../server/shelf/libraryRoutes';
import { importPacing } from '../server/coverage/pacingStore';
import { setLiked } from '../server/shelf/historyOf';
import { offersOf } from '../server/shelf/offers';
import { changeSeveral } from '../server/shelf/severalGames';
import { createGame } from '../server/shelf/shelfStore';
import { setStock, updateThing } from '../server/things/thingStore';
import { createVariant } from '../server/shelf/variantStore';
import { putTerm } from '../server/term/termStore';
import { checkIn, daysBefore, type Inhabitant, placed, playedSession, sessionRequest, settle } from './term';
import { demoGames, demoLearners, demoLikings, demoPacing, demoPrices, demoStock, demoTags } from './world';

const seedOfWorld = 20;
const weeksPlayed = 5;
const weeksInTerm = 12;

/** Brings the demo world in, dated around `today`. Everything in it is invented; the same day gives the same world. */
export async function seedDemo(today: string): Promise<void> {
  const db = openDb();
  if (db.select().from(games).all().length > 0) return;
  const start = daysBefore(today, 7 * weeksPlayed);
  const noon = (day: string): string => `${day}T10:00:00.000Z`;
  for (const { variants, ...game } of demoGames) {
    const { id } = createGame(db, game, noon(start));
    for (const v of variants) createVariant(db, id, v);
  }
  const own = new Set(demoGames.map((g) => nameKey(g.title)));
  for (const game of shippedLibrary) if (!own.has(nameKey(game.title))) takeFromLibrary(db, game.id, noon(start));
  for (const [kind, quantity] of Object.entries(demoStock)) setStock(db, kind, { quantity: quantity });
  const people = demoLearners.map((l): Inhabitant => {
    const born = monthBefore(today, l.ageMonths);
    const { id } = createLearner(
      db,
      {
        nickname: l.nickname,
        born,
        framework: l.framework ?? 'us',
        group: l.group,
        supportsInUse: [...(l.supportsInUse ?? [])],
        permanentSupports: [...(l.permanentSupports ?? [])],
        actions: [...(l.actions ?? [])],
      },
      start,
      noon(start),
    );
    const facts = {
      born,
      framework: l.framework ?? 'us',
      permanentSupports: l.permanentSupports ?? [],
      supportsInUse: l.supportsInUse ?? [],
    } as const;
    return settle(id, l, facts, ageOn(born, start), seedOfWorld);
  });
  const monday = daysBefore(start, weekdayOf(start) - 1);
  putTerm(
    db,
    {
      title: 'Signal Box co-op',
      starts: monday,
      ends: daysBefore(monday, -7 * weeksInTerm + 1),
      weekdays: [weekdayOf(today), weekdayOf(daysBefore(today, 4))],
      startsAt: '10:00',
      rounds: 3,
      minutes: 15,
      tables: 4,
      helpers: 3,
    },
    noon(start),
  );
  db.delete(meetings).where(lt(meetings.date, start)).run();
  for (const who of people) addEvidence(db, placed(who, start, seedOfWorld), today, noon(today));
  await offersOf(db);
  const past = db
    .select()
    .from(meetings)
    .all()
    .map((m) => m.date)
    .filter((d) => d < today)
    .sort();
  for (const [i, day] of past.entries()) {
    const { seats, open, well } = await playedSession(db, day, start, people, seedOfWorld, i);
    if (process.env['ZEITGEBER_TELL_SEATS']) console.log(`${day}: ${seats} seats, ${open} at an open step, ${well} with enough of it`);
    if (i % 4 === 3) for (const who of people) checkInOn(who, day);
  }
  const job = await (
    await startPlan(
      db,
      sessionRequest(
        today,
        people.map((p) => p.id),
        seedOfWorld,
        1,
      ),
      today,
      noon(today),
    )
  ).finished;
  if (job.status !== 'done') throw new Error(job.problem?.message);
  // Profiles at the sizes the plans use, so that no page waits for them.
  for (const p of db.select().from(plans).where(eq(plans.date, today)).all()) await wirePlan(db, p);
  // What the owner keeps beside: units, prices, who asks for what, and what is on when.
  const here = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [nameKey(g.title), g.id]),
  );
  const idsOf = (titles: readonly string[]): string[] => titles.flatMap((t) => here.get(nameKey(t)) ?? []);
  for (const [tag, titles] of Object.entries(demoTags)) changeSeveral(db, { games: idsOf(titles), tag }, noon(today));
  for (const [title, nicknames] of Object.entries(demoLikings))
    for (const id of idsOf([title]))
      setLiked(db, id, { learners: demoLearners.flatMap((l, i) => (nicknames.includes(l.nickname) ? [people[i]!.id] : [])), liked: true });
  for (const [kind, price] of Object.entries(demoPrices)) updateThing(db, kind, { price });
  const thisMonday = daysBefore(today, weekdayOf(today) - 1);
  const text = demoPacing.map((codes, i) => `${daysBefore(thisMonday, 7 * (1 - i))},${codes}`).join('\n');
  await importPacing(db, { framework: 'us', text: `week,code\n${text}`, commit: true }, today);
  db.insert(settings).values({ key: 'demo', value: today }).onConflictDoNothing().run();

  /** The sheet is the one that would tell most. */
  function checkInOn(who: Inhabitant, day: string): void {
    const [first] = checkNext(db, who.id, day).steps;
    if (first) checkIn(db, who, day, start, first.skill, seedOfWorld);
  }
}

const today = todayHere();
await seedDemo(today);
await closePool();
process.exit(0);
