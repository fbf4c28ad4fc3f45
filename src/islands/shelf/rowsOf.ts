import type { BinWire, GameWire, VariantWire } from '../../contract/wire/shelf';
import type { KindWire } from '../../contract/wire/thingsOwned';
import type { ProfileSummary } from '../../contract/wire/practice';
import { wordsOf } from '../shared/search';
import type { Skills } from '../shared/useSkills';

/** A line of the shelf: a version, or a game that has none yet. */
export interface Row {
  game: GameWire;
  variant: VariantWire | null;
  profile: ProfileSummary | undefined;
}

export function rowsOf(
  games: readonly GameWire[] = [],
  variants: readonly VariantWire[] = [],
  profiles: readonly ProfileSummary[] = [],
): Row[] {
  const byVariant = new Map(profiles.map((p) => [p.variant, p]));
  return games.flatMap((game): Row[] => {
    const own = variants.filter((v) => v.game === game.id);
    return own.length === 0
      ? [{ game, variant: null, profile: undefined }]
      : own.map((variant) => ({ game, variant, profile: byVariant.get(variant.id) }));
  });
}

/** Chances for one skill, for sorting. */
export const doseOf = (r: Row, skill: string): number => r.profile?.doses.find((d) => d.skill === skill)?.perTenMinutes ?? 0;

/** Whether a line is among what is looked for. */
export function matches(
  { game, variant, profile }: Row,
  asked: { bin: string | null; text: string; skill: string | null },
  skills: Skills | null,
  kinds: readonly KindWire[],
  bins: readonly BinWire[],
): boolean {
  if (asked.bin === 'away' ? !game.retired : game.retired) return false;
  if (asked.bin && asked.bin !== 'away' && game.bin !== asked.bin) return false;
  if (asked.skill && !profile?.doses.some((d) => d.skill === asked.skill && d.perTenMinutes >= 1)) return false;
  const words = wordsOf(asked.text);
  if (words.length === 0) return true;
  const said = wordsOf(
    [
      game.title,
      variant?.title,
      game.notes,
      game.condition,
      ...game.tags,
      bins.find((b) => b.id === game.bin)?.title,
      ...(profile?.doses.filter((d) => d.perTenMinutes >= 1).map((d) => skills?.title(d.skill)) ?? []),
      ...(variant?.materials.map((m) => kinds.find((k) => k.id === m.kind)?.title ?? m.kind) ?? []),
    ].join(' '),
  );
  return words.every((w) => said.some((x) => x.startsWith(w)));
}

/** A line that is shown, with the versions folded under it. */
export interface Line {
  row: Row;
  /** Versions of the same game that are folded away under it; 0 where all are shown. */
  more: number;
  /** The first line of a game with several versions: it folds and unfolds. */
  head: boolean;
}

/** Lines with the versions of a game under the first of them, in the order in which games first appear; those of open games all. */
export function foldedLines(rows: readonly Row[], open: ReadonlySet<string>): Line[] {
  const byGame = new Map<string, Row[]>();
  for (const r of rows) {
    const own = byGame.get(r.game.id);
    if (own) own.push(r);
    else byGame.set(r.game.id, [r]);
  }
  return [...byGame.values()].flatMap((own) => {
    const several = own.length > 1;
    if (!open.has(own[0]!.game.id)) return [{ row: own[0]!, more: own.length - 1, head: several }];
    return own.map((row, i) => ({ row, more: 0, head: several && i === 0 }));
  });
}
