import type { GameLog } from '../simulate/gameLog';
import type { ItemChannel, OperandRange } from '../simulate/itemChannel';
import type { Country } from '../play/country';
import type { HowTo } from '../play/howTo';
import type { Need } from '../play/needs';
import type { Rng } from '../shared/rng';
import type { Problem } from '../shared/codes';
import type { Cues } from '../recognise/cue';

export const policies = ['careful', 'typical', 'random'] as const;
export type Policy = (typeof policies)[number];

/** How one seat plays: its own numbers and its own skill at the table. */
export interface Seat<P> {
  readonly parameters: P;
  readonly policy: Policy;
  /** Chance that a seat misses its best move or forgets, 0 … 1. */
  readonly errorRate: number;
  /** Given before the first turn so that chances are even, in the mechanism's `headStart` unit. */
  readonly headStart: number;
}

export interface ParameterSchema {
  readonly type: 'object';
  readonly additionalProperties: false;
  readonly properties: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
}

/** Plays game number `game` to its end and reports to the log. Built once per table. */
export type PlayGame = (rng: Rng, log: GameLog) => void;

/** The five questions of "how is it played?", each with the answers that can be seen at a table. */
export const playedAnswers = {
  with: ['dice', 'cards', 'face-down', 'tiles', 'board', 'paper', 'things'],
  does: ['adds', 'takes-away', 'multiplies', 'compares', 'partner', 'counts', 'places-digits', 'goes-on', 'balances', 'mirrors'],
  moves: [
    'races',
    'total-grows',
    'collects',
    'fills',
    'closes',
    'joins',
    'lays-down',
    'makes-target',
    'guesses',
    'passes-on',
    'takes-apart',
    'balances',
    'tells',
    'builds',
    'covers',
    'writes',
    'puts-in-order',
    'counts-up',
    'looks',
    'says',
    'compares-round',
    'dares',
    'takes',
  ],
  who: ['in-turn', 'all-at-once', 'together'],
  ends: ['first-home', 'full', 'all-gone', 'score', 'rounds'],
} as const;
export type PlayedQuestion = keyof typeof playedAnswers;
export type Played = { readonly [Q in PlayedQuestion]: readonly (typeof playedAnswers)[Q][number][] };

/** What must be printed for a table: which sheet, how many, and with which numbers on it. */
export interface SheetNeed {
  readonly sheet: string;
  readonly copies: number;
  readonly data: Readonly<Record<string, unknown>>;
}

/**
 * A rule family. Mechanisms never import one another; the simulator knows only this
 * interface. `P` is inferred from the folder's `DEFAULTS`.
 */
export interface Mechanism<P extends object = object> {
  readonly id: string;
  readonly title: string;
  /** How it is known from what people write about their games; loaded where a shelf is read, so that no page carries it. */
  readonly cues: () => Promise<Cues>;
  /** How it plays, for a helper who has never seen it. */
  readonly words: readonly string[];
  /** What somebody sees who watches it played; answers of the five questions. */
  readonly played: Played;
  /** How one version is played, in words and pictures made from its numbers. */
  howTo(parameters: P, country: Country): HowTo;
  /** The same version with the coins and rulers of a country; left out where there are none. */
  inCountry?(parameters: P, country: Country): P;
  /** How to stop before the end without anybody having lost. */
  readonly earlyEnding: string;
  /** What happens in a game, told by `log.note(seat, sentence, x, y)`: `{x}` and `{y}` are filled in. */
  readonly told: readonly string[];
  readonly parametersSchema: ParameterSchema;
  readonly defaults: P;
  readonly seats: { readonly min: number; readonly max: number };
  /** Names of the mechanism's own measures, in the order of `log.extra`. */
  readonly extraMeasures: readonly string[];
  /** In what a weaker player can be given a head start; null where nobody plays against another. */
  readonly headStart: string | null;
  /** What the parameters cannot do together; null when all is well. */
  check(parameters: P): Problem | null;
  /** What the seats of one table cannot do together; null when all is well. */
  checkTable?(seats: readonly Seat<P>[]): Problem | null;
  channels(parameters: P, seats: readonly Seat<P>[]): readonly ItemChannel[];
  range(seats: readonly Seat<P>[]): OperandRange;
  /** Everybody works at the same time (no waiting) or one after another. */
  simultaneous(parameters: P): boolean;
  createTable(seats: readonly Seat<P>[]): PlayGame;
  /** What this variant needs for one table of `seats` players, by what it must give; `materialsOf` names usual kinds for it. */
  needs(parameters: P, seats: number): readonly Need[];
  sheets(parameters: P, seats: number): readonly SheetNeed[];
}

/** Cap on turns of one game; how often it is hit is reported. */
export const TURN_CAP = 2000;
