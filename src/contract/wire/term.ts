import { mostTables, perSession, status } from './session';
import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import { arr, bool, closed, day, int, name, nullable, num, obj, oneOf, str, time, truth, whole, within } from './schema';

const meeting = obj({
  id: str,
  termId: str,
  date: str,
  startsAt: str,
  rounds: int,
  minutes: int,
  tables: int,
  helpers: int,
  off: bool,
  offBecause: nullable(str),
  version: int,
  changedAt: str,
  state: oneOf('played', 'missed', 'ahead', 'off'),
  plan: nullable(
    obj({
      id: str,
      status,
      objective: num,
      bound: num,
      forecast: bool,
      edited: bool,
      playedAt: nullable(str),
      games: arr(str),
    }),
  ),
});

export type MeetingWire = Static<typeof meeting>;

const term = obj({
  term: nullable(obj({ id: str, title: str, starts: str, ends: str, version: int })),
  meetings: arr(meeting),
  today: str,
  /** By which door the owner came in: a kitchen table sees no files, helpers or terms until it asks. */
  door: nullable(oneOf('kitchen')),
});

export type TermWire = Static<typeof term>;

const termBody = closed(
  {
    ...perSession,
    title: Type.String({ minLength: 1, maxLength: 200 }),
    starts: day,
    ends: day,
    weekdays: arr(whole(1, 7), 7, 1),
    startsAt: time,
    /** The one that was seen, where the term is there already. */
    version: int,
  },
  ['title', 'starts', 'ends', 'weekdays', 'startsAt', 'rounds', 'minutes', 'tables', 'helpers'],
);

export type TermBody = Static<typeof termBody>;

const pair = Type.Unsafe<[string, string]>(Type.Array(str, { minItems: 2, maxItems: 2 }));
const wishesFields = {
  fewerGames: bool,
  longestWait: nullable(within(0.3, 1)),
  mix: bool,
  /** At most one lively or floor table a round. */
  oneLively: bool,
  together: arr(pair, 200),
  apart: arr(pair, 200),
};
/** What is wished for every session that is planned. */
const wishes = obj({ ...wishesFields, version: int });
export type WishesWire = Static<typeof wishes>;

export const termWire = define({
  'GET /wishes': { summary: 'What is wished for every session that is planned: companions, few games, short waits', response: wishes },
  'PUT /wishes': {
    summary: 'Say what is wished for every session that is planned',
    body: closed({ ...wishesFields, version: int }, ['fewerGames', 'longestWait', 'mix', 'oneLively', 'together', 'apart', 'version']),
    response: wishes,
  },
  'PUT /door': {
    summary: 'Say that this is a kitchen table, which sees no files, helpers or terms, or that it is to see everything',
    body: closed({ door: nullable(oneOf('kitchen')) }, ['door']),
    response: obj({ door: nullable(oneOf('kitchen')) }),
  },
  'GET /countries': {
    summary: 'Countries whose coins, rulers, paper, dates and words are known, and the one in use',
    response: obj({ items: arr(obj({ id: str, title: str, paper: oneOf('a4', 'letter') })), country: str }),
  },
  'PUT /country': {
    summary: 'Choose whose coins, rulers, paper, dates and words are used',
    body: closed({ country: str }, ['country']),
    response: obj({ country: str, dates: oneOf('day-first', 'month-first') }),
  },
  'GET /term': { summary: 'The term with its meetings', response: term },
  'PUT /term': { summary: 'Say when you meet', body: termBody, response: obj({ id: str, meetings: int }) },
  'PATCH /meetings/{id}': {
    summary: 'Change a meeting, or take it off',
    body: closed({ ...perSession, tables: whole(1, mostTables), off: bool, offBecause: name, startsAt: time, version: int }, ['version']),
    response: obj({ id: str, version: int }),
  },
  'POST /term/plan': {
    summary: 'Plan every meeting ahead by rolling the session model forward; answers 202 with a job',
    body: closed({ seed: int, secondsPerMeeting: within(0.05, 10) }),
    status: 202,
    response: obj({ job: str }),
    /** Fewer than asked for where the work was ended early. */
    job: obj({ planned: int, kept: int, of: int }),
  },
  'GET /term/calendar': {
    summary: 'The term as iCalendar; nicknames only when asked for',
    query: { names: truth },
    media: 'text/calendar; charset=utf-8',
    response: Type.String(),
  },
});
