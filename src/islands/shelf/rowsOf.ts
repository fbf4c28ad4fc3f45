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
      bins.find((b) => b.id === game.bin)?.title,
      ...(profile?.doses.filter((d) => d.perTenMinutes >= 1).map((d) => skills?.title(d.skill)) ?? []),
      ...(variant?.materials.map((m) => kinds.find((k) => k.id === m.kind)?.title ?? m.kind) ?? []),
    ].join(' '),
  );
  return words.every((w) => said.some((x) => x.startsWith(w)));
}
