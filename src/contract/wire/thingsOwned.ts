import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import { arr, bool, changed, closed, int, list, name, nullable, num, obj, oneOf, pageQuery, str, whole, within } from './schema';
import { loan, thing } from './things';

export type KindWire = Static<typeof thing>;

const effect = obj({
  /** Nothing changes; chances do, counted exactly; or the practice is another. */
  sort: oneOf('none', 'draws', 'practice'),
  say: str,
});

const substitute = obj({
  for: str,
  use: nullable(str),
  title: str,
  say: str,
  minutes: num,
  /** Used without asking. */
  automatic: bool,
  effect,
});

export type SubstituteWire = Static<typeof substitute>;

const playable = obj({
  games: arr(obj({ game: str, title: str, where: oneOf('shelf', 'library'), versions: arr(str), learners: arr(str), standIns: arr(str) })),
  children: arr(obj({ learner: str, nickname: str, games: int })),
  away: nullable(
    obj({
      kind: str,
      title: str,
      /** So many are needed that all of these games can be played. */
      needed: int,
      games: arr(str),
      learners: arr(obj({ learner: str, nickname: str, games: int })),
    }),
  ),
});

export type PlayableWire = Static<typeof playable>;

const leftGame = obj({ game: str, title: str, steps: arr(str) });
const left = obj({
  /** Games here that use the thing and can be laid out with so many of it, and those that no longer can. */
  still: arr(leftGame),
  lost: arr(leftGame),
  /** Steps that nothing here plays any more by it. */
  lostSteps: arr(str),
  /** Games of the library that so many are enough for. */
  becomes: arr(leftGame),
});

export type LeftWire = Static<typeof left>;

export const thingsWire = define({
  'GET /kinds/{id}/left': {
    summary: 'What so many of a thing are still good for, and what they could become',
    query: { quantity: whole(0, 100_000) },
    response: left,
    waits: true,
  },
  'GET /kinds': { summary: 'Sorts of material, how many there are and where', query: pageQuery, response: list(thing) },
  'POST /kinds': {
    summary: 'Add a thing of your own',
    body: closed(
      {
        title: name,
        unit: Type.String({ maxLength: 40 }),
        quantity: whole(0, 100_000),
        bin: Type.String({ maxLength: 200 }),
        smallParts: bool,
      },
      ['title'],
    ),
    status: 201,
    response: changed,
  },
  'PUT /kinds/{id}/stock': {
    summary: 'Say how many of a thing there are: a number, plenty, or nobody is sure',
    body: closed({ quantity: whole(0, 100_000), told: oneOf('number', 'plenty', 'unsure') }),
    response: changed,
  },
  'PUT /kinds': {
    summary: 'Say how many there are of many things at once, undone as one',
    body: closed(
      { things: arr(closed({ id: str, quantity: whole(0, 100_000), told: oneOf('number', 'plenty', 'unsure') }, ['id']), 1000) },
      ['things'],
    ),
    response: changed,
  },
  'PATCH /kinds/{id}': {
    summary: 'Say where a thing lives, how it is, with whom some of it is, and what will do in its place',
    body: closed({
      title: name,
      bin: Type.String({ maxLength: 200 }),
      condition: Type.String({ maxLength: 500 }),
      incomplete: Type.String({ maxLength: 500 }),
      loans: arr(loan, 20),
      standIn: nullable(str),
      price: nullable(within(0, 100_000)),
    }),
    response: changed,
  },
  'GET /substitutes': {
    summary: 'What will do for what, and what changes by it',
    query: { ...pageQuery, for: str },
    response: list(substitute),
  },
  'GET /things/playable': {
    summary:
      'What can be played with what is there, by whom, and the one thing that would open most; `only` names things as if nothing else were there',
    query: { only: Type.String({ maxLength: 20_000 }) },
    response: playable,
    waits: true,
  },
});
