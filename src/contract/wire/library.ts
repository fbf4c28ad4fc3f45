import { type Static, Type } from '@sinclair/typebox';
import type { Operation } from '../../core/items/item';
import { shownPicture, shownPresence } from './howTo';
import { define } from './route';
import { anything, arr, bool, estimate, int, list, nullable, num, obj, oneOf, opt, pageQuery, pair, record, str } from './schema';
import { helper, material, room, span } from './things';

const libraryGame = obj({
  id: str,
  title: str,
  bin: str,
  mechanism: str,
  /** One line that makes a child curious; how it is played stands with each version. */
  story: str,
  plays: str,
  onShelf: bool,
  /** A game, or practice and activity. */
  sort: oneOf('game', 'practice'),
  /** What it says about the room, by its rules. */
  mood: oneOf('calm', 'between', 'lively'),
  variants: arr(
    obj({
      id: str,
      title: str,
      parameters: record(anything),
      ages: pair(num),
      players: span,
      minutes: num,
      preparationMinutes: num,
      helper,
      room,
      materials: arr(material),
      /** What a table of it takes of what is there, with what stands in; things still missing. */
      missing: arr(material),
      standIns: arr(str),
      /** A moment of this version, and who has to be there. */
      picture: shownPicture,
      presence: shownPresence,
      /** One of thirty to begin with. */
      first: bool,
      /** Measured when the version was shipped. */
      profile: nullable(
        obj({
          engine: str,
          seed: int,
          seats: int,
          games: int,
          turns: estimate,
          minutes: Type.Unsafe<[short: number, usual: number, long: number]>(arr(num, 3, 3)),
          doses: arr(
            Type.Unsafe<[skill: string, perTenMinutes: number, standardError: number]>({
              type: 'array',
              prefixItems: [str, num, num],
              minItems: 3,
              maxItems: 3,
            }),
          ),
          /** Operations and their shares of all items. */
          mix: arr(Type.Unsafe<[Operation, number]>({ type: 'array', prefixItems: [str, num], minItems: 2, maxItems: 2 })),
          waiting: num,
          choices: num,
          idleTurns: num,
          facts: num,
          /** How a game between like players goes; absent where nobody wins against another. */
          course: opt(obj({ leadChanges: num, known: num, level: num, weakest: pair(num) })),
        }),
      ),
    }),
  ),
});

export type LibraryGameWire = Static<typeof libraryGame>;

const libraryTitle = obj({ id: str, title: str });

export const libraryWire = define({
  'GET /library': {
    summary: 'Games that ship with the app, with their measured profiles',
    query: pageQuery,
    response: list(libraryGame),
  },
  'GET /library/titles': { summary: 'Their names alone', query: pageQuery, response: list(libraryTitle) },
  'POST /library/{id}/take': {
    summary: 'Put a shipped game with all its versions on the shelf',
    status: 201,
    response: obj({ id: str, change: str }),
  },
});
