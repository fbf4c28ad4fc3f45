import { termCalendar } from '../../adapters/calendar/termCalendar';
import { termWire } from '../../contract/wire/term';
import { countries } from '../../contract/countries';
import { plans, type StoredTable } from '../db/schema';
import { refuse } from '../http/problemError';
import { type Occasion, Reply, serve } from '../http/route';
import { putWishes, wishesNow } from '../planning/wishesStore';
import { countryOf, setCountry } from '../shared/country';
import { titles } from '../shared/titles';
import { momentNow } from '../shared/clock';
import { setDoor } from './door';
import { currentTerm, meetingsOf, planFor, putTerm, startTermPlan, termView, updateMeeting } from './termStore';

/** Who plays what stays at home unless it is asked for: calendars are given to services elsewhere. */
function calendar({ db, today, zone }: Occasion, withNames: boolean): Reply<string> {
  const term = currentTerm(db, today);
  if (!term) throw refuse('not-found', 'There is no term yet. Say first when you meet.', 'term');
  const all = db.select().from(plans).all();
  const names = titles(db);
  const text = termCalendar(
    term.title,
    meetingsOf(db, term.id).map((m) => {
      const p = planFor(all, m.date);
      const table = (t: StoredTable): string =>
        withNames ? `${names.game(t.game)} (${t.seats.map((s) => names.learner(s.learner)).join(', ')})` : names.game(t.game);
      const rounds = p?.rounds.map((r, i) => `Round ${i + 1}: ${r.tables.map(table).join('; ')}`) ?? ['Not planned yet.'];
      return {
        id: m.id,
        date: m.date,
        startsAt: m.startsAt,
        minutes: m.rounds * (m.minutes + 5),
        summary: m.off ? `No meeting: ${m.offBecause ?? 'off'}` : `${term.title}: games`,
        description: rounds.join('\n'),
        cancelled: m.off,
        // Both the meeting and its plan may change; either makes the event newer.
        version: m.version - 1 + (p?.version ?? 0),
        changedAt: [m.changedAt, p?.createdAt ?? ''].reduce((x, y) => (x > y ? x : y)),
      };
    }),
    momentNow(),
    zone,
  );
  return new Reply(200, text, { 'content-disposition': 'attachment; filename="term.ics"' });
}

export const termRoutes = serve(termWire, {
  'GET /wishes': ({ db }) => wishesNow(db),
  'PUT /wishes': ({ db, body }) => putWishes(db, body),
  'PUT /door': ({ db, body }) => setDoor(db, body.door),
  'GET /countries': ({ db }) => ({ items: countries.map(({ id, title, paper }) => ({ id, title, paper })), country: countryOf(db).id }),
  'PUT /country': ({ db, body }) => setCountry(db, body.country),
  'GET /term': ({ db, today }) => termView(db, today),
  'PUT /term': ({ db, body, now }) => putTerm(db, body, now),
  'PATCH /meetings/{id}': ({ db, params, body: { version, ...change }, now }) => updateMeeting(db, params.id, change, version, now),
  'POST /term/plan': ({ db, body, today, now }) => ({
    job: startTermPlan(db, today, now, { seed: body.seed ?? 1, secondsPerMeeting: body.secondsPerMeeting ?? 0.5 }).id,
  }),
  'GET /term/calendar': (context) => calendar(context, context.query.names === 'true'),
});
