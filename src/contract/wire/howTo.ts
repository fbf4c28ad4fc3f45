import { type Static, Type } from '@sinclair/typebox';
import type { Picture } from '../../core/play/picture';
import { define } from './route';
import { anything, arr, closed, int, nullable, obj, oneOf, pair, record, str } from './schema';

const picture = Type.Unsafe<Picture>(Type.Object({ draw: str }, { additionalProperties: true }));
const presence = obj({ is: oneOf('alone', 'nearby', 'needed'), for: str });

/** How one version is played; every line is made from its numbers. */
export const howTo = obj({
  /** What lies on the table, in words. */
  needs: arr(str),
  setUp: arr(str),
  turn: arr(str),
  scoring: arr(str),
  end: str,
  timeUp: str,
  /** At most five lines for a card on the table. */
  card: arr(str),
  ask: str,
  tool: str,
  smaller: str,
  presence,
  pictures: arr(obj({ picture, say: str })),
});
export type HowToWire = Static<typeof howTo>;

/** What an owner asks before choosing. */
const quick = obj({
  mood: oneOf('calm', 'between', 'lively'),
  mixed: oneOf('together', 'head-start', 'own-numbers', 'like-only'),
  firstTime: oneOf('taught', 'read'),
});
export type QuickWire = Static<typeof quick>;

export const shownPicture = picture;
export const shownPresence = presence;

export const howToWire = define({
  'POST /how-to': {
    summary: 'How a version with these numbers is played, in words and pictures',
    body: closed({ mechanism: str, parameters: record(anything), ages: pair(Type.Number()), seats: int }, ['mechanism']),
    response: howTo,
  },
  'GET /variants/{id}/how-to': {
    summary: 'How a version of the shelf is played; null where nobody has said how it plays',
    response: obj({ howTo: nullable(howTo), quick: nullable(quick) }),
  },
  'GET /plans/{id}/how-to': {
    summary: 'How every version of a session is played, to be read at once',
    response: obj({ items: arr(obj({ variant: str, title: str, own: arr(str), cautions: arr(str), howTo: nullable(howTo) })) }),
  },
});
