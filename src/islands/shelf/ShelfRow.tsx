import type { KindWire } from '../../contract/wire/thingsOwned';
import { link } from '../shared/api';
import { ThingNeed } from '../things/ThingNeed';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import type { Line } from './rowsOf';
import styles from './shelf.module.css';

const scale = 2.4;

export function ShelfRow({
  line: {
    row: { game, variant, profile },
    more,
    head,
  },
  onFold,
  index,
  measure,
  skill,
  skills,
  kinds,
  loading,
  picked,
  onPick,
}: {
  line: Line;
  /** Folds the versions of the game, or unfolds them. */
  onFold: () => void;
  index: number;
  measure: ((row: Element | null) => void) | undefined;
  /** Chosen to look for: its chances stand first. */
  skill: string | null;
  skills: Skills;
  kinds: readonly KindWire[];
  loading: boolean;
  picked: boolean;
  onPick: (picked: boolean) => void;
}) {
  const byKind = new Map(kinds.map((k) => [k.id, k]));
  const doses = [...(profile?.doses ?? [])].sort((x, y) => Number(y.skill === skill) - Number(x.skill === skill)).slice(0, 2);
  return (
    <tr ref={measure} data-index={index} className={game.retired ? styles.away : undefined}>
      <td>
        <input
          type="checkbox"
          className={styles.pick}
          aria-label={`Choose ${game.title}`}
          checked={picked}
          onChange={(e) => onPick(e.target.checked)}
        />
        <a href={link(`/shelf/${game.id}${variant ? `?version=${variant.id}` : ''}`)} className={styles.title}>
          {game.title}
        </a>
        <span className={styles.version}>{variant?.title ?? 'no version yet'}</span>
        {head && (
          <button type="button" className={styles.fold} aria-expanded={more === 0} onClick={onFold}>
            {more > 0 ? `and ${more} more ${more === 1 ? 'version' : 'versions'}` : 'fold its versions'}
          </button>
        )}
        {game.tags.length > 0 && (
          <span className={styles.tags}>
            {game.tags.map((t) => (
              <i key={t}>{t}</i>
            ))}
          </span>
        )}
      </td>
      <td>
        {(loading || profile?.source === 'measuring') && variant?.mechanism && <span className={panel.soft}>being played …</span>}
        {profile?.source === 'faulty' && <span className={panel.soft}>cannot be played as it stands; open it to mend it</span>}
        {doses.map((d) => (
          <div key={d.skill} className={styles.dose}>
            <svg width={Math.min(120, d.perTenMinutes * scale) + 2} height="11" aria-hidden="true">
              <rect
                x="1"
                y="1"
                width={Math.min(120, d.perTenMinutes * scale)}
                height="9"
                fill={`var(--strand-${skills.strandOf(d.skill)?.hue ?? 'slate'})`}
                className={profile?.source === 'declared' || profile?.source === 'words' ? styles.declared : undefined}
              />
            </svg>
            <b>{Math.round(d.perTenMinutes)}</b> <span>{skills.byId.get(d.skill)?.title}</span>
          </div>
        ))}
        {(profile?.source === 'none' || profile?.source === 'words') && (
          <span className={panel.soft}>nobody has said yet how it plays</span>
        )}
        {variant?.said === 'guessed' && <span className={panel.soft}>guessed until it is played</span>}
      </td>
      <td className={panel.num} data-label="minutes">
        {profile ? Math.round(profile.minutes) : variant?.minutes}
      </td>
      <td className={panel.num} data-label="players">
        {variant
          ? variant.players.min === variant.players.max
            ? variant.players.min
            : `${variant.players.min}–${variant.players.max}`
          : ''}
      </td>
      <td className={styles.things}>
        {variant?.materials.map((m) => (
          <ThingNeed
            key={m.kind}
            id={m.kind}
            kind={byKind.get(m.kind)}
            quantity={m.quantity}
            standIn={variant.standIns.find((s) => s.instead === m.kind)?.say ?? null}
          />
        ))}
      </td>
    </tr>
  );
}
