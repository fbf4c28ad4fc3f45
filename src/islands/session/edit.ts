import type { LockWire, PlanWire, TableWire } from '../../contract/wire/plan';

export interface EditSeat {
  learner: string;
  variant?: string;
  /** The child whose seat it is, where two play it as partners. */
  with?: string;
}
export interface EditTable {
  game: string;
  grownUp?: boolean;
  seats: EditSeat[];
}
export interface EditRound {
  tables: EditTable[];
  resting: string[];
}
export interface Draft {
  rounds: EditRound[];
  locks: LockWire[];
}

export function draftOf(plan: PlanWire): Draft {
  return {
    rounds: plan.rounds.map((r) => ({
      tables: r.tables.map((t) => ({
        game: t.game,
        ...(t.grownUp ? { grownUp: true } : {}),
        seats: t.seats.map((s) => ({ learner: s.learner, variant: s.variant, ...(s.with === null ? {} : { with: s.with }) })),
      })),
      resting: [...r.resting],
    })),
    locks: plan.locks.map((k) => ({ ...k })),
  };
}

/** Moves a learner inside a round to a table (or to rest); the variant is chosen anew by the server. */
export function moveLearner(draft: Draft, round: number, learner: string, to: number | 'rest'): Draft {
  const rounds = draft.rounds.map((r, i) => {
    if (i !== round) return r;
    const target = to === 'rest' ? null : r.tables[to];
    const tables = r.tables.map((t) => ({ ...t, seats: ownAgain(t.seats.filter((s) => s.learner !== learner)) }));
    const resting = r.resting.filter((l) => l !== learner);
    if (target) {
      const old = r.tables[to as number]!.seats.find((s) => s.learner === learner);
      tables[to as number]!.seats.push(old ?? { learner });
    } else resting.push(learner);
    return { tables, resting };
  });
  return { rounds, locks: draft.locks.filter((k) => !(k.round === round && k.learner === learner)) };
}

/** Whose partner's seat went away has one of the own. */
const ownAgain = (seats: readonly EditSeat[]): EditSeat[] =>
  seats.map(({ with: partner, ...s }) => (partner !== undefined && seats.some((x) => x.learner === partner) ? { ...s, with: partner } : s));

/** Two at a table play one seat as partners; with nobody, the child has a seat of the own again. */
export function shareSeat(draft: Draft, round: number, table: number, learner: string, partner: string | null): Draft {
  return {
    rounds: draft.rounds.map((r, i) =>
      i === round
        ? {
            ...r,
            tables: r.tables.map((t, j) => {
              if (j !== table) return t;
              const seats = t.seats.map(({ with: was, ...s }): EditSeat => {
                if (s.learner === learner) return partner === null ? s : { learner, with: partner };
                // Who shared with one of the two has a seat of the own.
                return was === undefined || was === learner || was === partner ? s : { ...s, with: was };
              });
              return { ...t, seats };
            }),
          }
        : r,
    ),
    locks: partner === null ? draft.locks : draft.locks.filter((k) => !(k.round === round && k.learner === learner)),
  };
}

/** A grown-up takes a seat at a table, or leaves it. */
export const seatGrownUp = (draft: Draft, round: number, table: number, sits: boolean): Draft => ({
  ...draft,
  rounds: draft.rounds.map((r, i) =>
    i === round
      ? {
          ...r,
          tables: r.tables.map(({ grownUp, ...t }, j) =>
            j === table ? { ...t, ...(sits ? { grownUp: true } : {}) } : { ...t, ...(grownUp ? { grownUp } : {}) },
          ),
        }
      : r,
  ),
});

/** Another game for a table, with the same learners, each with the version that was offered for them. */
export function changeGame(
  draft: Draft,
  round: number,
  table: number,
  game: string,
  offered: readonly { readonly learner: string; readonly variant: string }[] = [],
): Draft {
  const variantOf = new Map(offered.map((s) => [s.learner, s.variant]));
  const old = draft.rounds[round]!.tables[table]!;
  return {
    rounds: draft.rounds.map((r, i) =>
      i === round
        ? {
            ...r,
            tables: r.tables.map((t, j) =>
              j === table
                ? {
                    ...t,
                    game,
                    seats: t.seats.map((s) => ({
                      ...seatOf(s.learner, variantOf.get(s.with ?? s.learner)),
                      ...(s.with === undefined ? {} : { with: s.with }),
                    })),
                  }
                : t,
            ),
          }
        : r,
    ),
    locks: draft.locks.filter((k) => !(k.round === round && k.game === old.game)),
  };
}

/** The version that most at a table play; the first of those where several are. */
export function playedMost(table: EditTable): string | null {
  const count = new Map<string, number>();
  for (const { variant } of table.seats) if (variant) count.set(variant, (count.get(variant) ?? 0) + 1);
  return [...count].sort((x, y) => y[1] - x[1])[0]?.[0] ?? null;
}

/** Another version of the same game for some at a table. */
export function changeVersion(draft: Draft, round: number, table: number, learners: readonly string[], variant: string): Draft {
  return {
    ...draft,
    rounds: draft.rounds.map((r, i) =>
      i === round
        ? {
            ...r,
            tables: r.tables.map((t, j) =>
              j === table ? { ...t, seats: t.seats.map((s) => (learners.includes(s.with ?? s.learner) ? { ...s, variant } : s)) } : t,
            ),
          }
        : r,
    ),
  };
}

const seatOf = (learner: string, variant: string | undefined): EditSeat => (variant ? { learner, variant } : { learner });

/** Fixes a whole table, or lets it go. */
export function toggleLock(draft: Draft, round: number, table: number): Draft {
  const t = draft.rounds[round]!.tables[table]!;
  const isLocked = tableLocked(draft, round, t);
  const others = draft.locks.filter((k) => !(k.round === round && k.game === t.game && t.seats.some((s) => s.learner === k.learner)));
  return {
    ...draft,
    locks: isLocked ? others : [...others, ...t.seats.filter((s) => !s.with).map((s) => ({ learner: s.learner, round, game: t.game }))],
  };
}

export function tableLocked(draft: Draft, round: number, t: EditTable | TableWire): boolean {
  return (
    t.seats.length > 0 &&
    t.seats.every((s) => Boolean(s.with) || draft.locks.some((k) => k.round === round && k.learner === s.learner && k.game === t.game))
  );
}

/** Unordered marks that tell versions apart without ranking them; they change with the game. */
const marks = ['◆', '●', '▲', '■', '✚', '◗', '⬟'];
export function markOf(game: string, variantIndex: number): string {
  let h = 0;
  for (const c of game) h = (h * 31 + c.charCodeAt(0)) % 997;
  return marks[(h + variantIndex) % marks.length]!;
}

/** Who plays what else in one draft than in another, round by round; nothing for somebody who only changed tables of one game. */
export function seatChanges(before: Draft, after: Draft): { round: number; learner: string; from: string | null; to: string | null }[] {
  const gamesOf = (r: EditRound | undefined): Map<string, string | null> =>
    new Map([
      ...(r?.tables ?? []).flatMap((t) => t.seats.map((s): [string, string] => [s.learner, t.game])),
      ...(r?.resting ?? []).map((l): [string, null] => [l, null]),
    ]);
  return after.rounds.flatMap((r, round) => {
    const was = gamesOf(before.rounds[round]);
    return [...gamesOf(r)].flatMap(([learner, to]) => {
      const from = was.get(learner) ?? null;
      return from === to ? [] : [{ round, learner, from, to }];
    });
  });
}
