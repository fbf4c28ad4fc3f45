import { dose, item, material, offerSource } from './things';
import { type Static } from '@sinclair/typebox';
import { anything, arr, bool, estimate, int, nullable, num, obj, oneOf, opt, record, str } from './schema';

export const profile = obj({
  variant: str,
  seats: int,
  games: int,
  seed: opt(int),
  engine: opt(str),
  source: oneOf('calculated', 'declared', 'words', 'none'),
  doses: arr(obj({ skill: str, perTenMinutes: num, standardError: nullable(num), counted: opt(int) })),
  /** A declared dose was counted at a table. */
  counted: opt(bool),
  minutes: record(num),
  minuteHistogram: opt(arr(num)),
  /** Share of games that end within `slotMinutes`. */
  endsInSlot: opt(num),
  slotMinutes: opt(num),
  turns: opt(obj({ ...estimate.properties, quantiles: record(num) })),
  waitingShare: nullable(num),
  measures: record(num),
  measureErrors: opt(record(num)),
  shares: opt(record(estimate)),
  distinctFacts: opt(int),
  outcomes: opt(obj({ wins: arr(num), ties: num, capped: num, score: estimate })),
  items: arr(obj({ ...item.properties, count: num })),
  materials: opt(arr(material)),
});

export type ProfileWire = Static<typeof profile>;

export type ItemWire = ProfileWire['items'][number];

export const shortProfile = obj({
  variant: str,
  game: str,
  source: offerSource,
  minutes: num,
  doses: arr(dose),
});

export type ProfileSummary = Static<typeof shortProfile>;

export const gapHelp = obj({
  skill: str,
  library: arr(obj({ game: str, title: str, version: str, perTenMinutes: num, standardError: num })),
  changes: arr(
    obj({
      game: str,
      variant: str,
      gameTitle: str,
      title: str,
      parameter: str,
      parameterTitle: str,
      value: anything,
      before: estimate,
      after: estimate,
      minutes: estimate,
    }),
  ),
});
export type GapHelpWire = Static<typeof gapHelp>;

export const fitHelp = obj({
  variant: str,
  changes: arr(
    obj({
      parameter: str,
      parameterTitle: str,
      value: anything,
      minutes: estimate,
      /** Share of right answers of each child as it is, and with the change. */
      children: arr(obj({ learner: str, before: num, after: num })),
    }),
  ),
});
export type FitHelpWire = Static<typeof fitHelp>;

export const suits = obj({
  learner: str,
  nickname: str,
  success: num,
  low: num,
  high: num,
  because: nullable(oneOf('needs', 'too-hard', 'age', 'accommodation')),
  missing: nullable(str),
});

export type SuitsWire = Static<typeof suits>;
