import { type Static, Type } from '@sinclair/typebox';
import { arr, bool, int, nullable, num, obj, oneOf, pair, str } from './schema';

const step = obj({
  evidence: nullable(str),
  at: nullable(str),
  because: oneOf('norm', 'age', 'noted', 'missed-fact', 'right-facts', 'forgotten', 'neighbour', 'later-skill', 'parts'),
  what: str,
  before: num,
  after: num,
});

export const estimate = obj({
  skill: str,
  mastery: num,
  asSeen: num,
  /** Share of right answers to expect with no tool. */
  right: num,
  retention: num,
  interval: pair(num),
  seen: bool,
  notes: num,
  sure: bool,
  status: oneOf('not-yet', 'growing', 'on-their-own', 'worth-checking'),
  lastSeen: nullable(str),
  wantedNow: bool,
  gap: bool,
  unlooked: bool,
  frontier: bool,
  dueForReview: bool,
  /** Empty with `steps=false`. */
  steps: arr(step),
});

export type EstimateWire = Static<typeof estimate>;

export const shortMap = obj({
  learner: str,
  seen: bool,
  next: arr(str),
  lines: arr(
    obj({
      held: int,
      arms: arr(Type.Unsafe<[height: number, seen: boolean]>({ type: 'array', prefixItems: [num, bool], minItems: 2, maxItems: 2 })),
    }),
  ),
});

export type ShortMapWire = Static<typeof shortMap>;
