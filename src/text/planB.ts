import type { Move } from '../core/planning/movesBetween';

interface Called {
  readonly learner: (id: string) => string;
  readonly game: (id: string) => string;
  /** The version alone, without its game. */
  readonly version: (id: string) => string;
  /** The game with its version. */
  readonly variant: (id: string) => string;
}

const and = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;

/** A move as a helper reads it: “Round 2: Moth and Wren play Lamp Columns (to 20), with Ash.” */
export function moveSentence(move: Move, { learner, game, version, variant }: Called): string {
  const who = and(move.seats.map((s) => learner(s.learner)));
  const one = move.seats.length === 1;
  if (move.game === null) {
    const alone = move.seats.flatMap((s) =>
      s.variant === null ? [] : [`${one ? '' : `${learner(s.learner)}: `}${variant(s.variant)}, alone`],
    );
    const without = `Round ${move.round + 1}: no seat for ${who}`;
    return alone.length > 0
      ? `${without}; meanwhile ${alone.join('; ')}.`
      : `${without}; ${one ? 'deals or keeps the count' : 'they deal or keep the count'} at a table.`;
  }
  const versions = [...new Set(move.seats.map((s) => s.variant!))];
  const players = (v: string): string => and(move.seats.filter((s) => s.variant === v).map((s) => learner(s.learner)));
  const how = versions.length === 1 ? version(versions[0]!) : versions.map((v) => `${players(v)} ${version(v)}`).join('; ');
  const company = move.with.length > 0 ? `, with ${and(move.with.map(learner))}` : '';
  return `Round ${move.round + 1}: ${who} ${one ? 'plays' : 'play'} ${game(move.game)} (${how})${company}.`;
}

/** Where all play what they were to play. */
export const nothingElse = 'Everybody plays what was planned.';
/** Where nobody has to move. */
export const nobodyMoves = 'Nobody moves; the table plays on with who is there.';
