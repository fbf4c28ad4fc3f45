import { type Static } from '@sinclair/typebox';
import { define } from './route';
import { arr, bool, closed, int, nullable, num, obj, oneOf, str } from './schema';

const skillStatus = oneOf('not-yet', 'growing', 'on-their-own', 'worth-checking');

const review = obj({
  plan: str,
  date: str,
  playedAt: nullable(str),
  planned: int,
  noted: int,
  learners: arr(
    obj({
      learner: str,
      nickname: str,
      notes: int,
      moved: arr(
        obj({
          skill: str,
          title: str,
          before: num,
          after: num,
          statusBefore: skillStatus,
          statusAfter: skillStatus,
          because: arr(str),
        }),
      ),
    }),
  ),
  practice: arr(obj({ skill: str, title: str, items: num })),
  /** What to do next time because of this session. */
  next: arr(obj({ what: oneOf('again', 'on', 'make'), learner: nullable(str), text: str })),
});

export type ReviewWire = Static<typeof review>;

/** Afterwards: that it took place, and what it moved. */
export const reviewWire = define({
  'POST /plans/{id}/played': {
    summary: 'Say that a session took place (or not after all)',
    body: closed({ played: bool }),
    response: obj({ id: str, playedAt: nullable(str) }),
  },
  'GET /plans/{id}/review': { summary: 'What a session moved on the map, and why', response: review, waits: true },
});
