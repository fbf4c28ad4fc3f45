import type { LibraryGameWire } from '../../contract/wire/library';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { Button } from '../../ui/Button';
import { Drawing } from '../../ui/drawing/Drawing';
import { presenceText } from '../shared/HowToPlay';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { moodWords } from '../shared/words';
import { ThingNeed } from '../things/ThingNeed';
import { type LibraryVersion, topDoses } from './choosing';
import styles from './library.module.css';

const strongest = 3;
/** Where the needle of the mood stands, in degrees from upright. */
const needle = { calm: -52, between: 0, lively: 52 } as const;

/** One game: a moment of a version, what it practises most, how long and for how many, what is needed. */
export function GameCell({
  game,
  version,
  skills,
  kinds,
  taking,
  onTake,
  onTry,
}: {
  game: LibraryGameWire;
  version: LibraryVersion;
  skills: Skills;
  kinds: readonly KindWire[];
  taking: boolean;
  onTake: () => void;
  onTry: () => void;
}) {
  const doses = topDoses(version, strongest);
  const most = Math.max(10, ...doses.map(([, d]) => d));
  const more = game.variants.length - 1;
  return (
    <article className={styles.game} aria-label={game.title}>
      <div className={styles.top}>
        <Drawing picture={version.picture} className={styles.drawing} />
        <div className={styles.what}>
          <h2>{game.title}</h2>
          <p className={styles.version}>
            {version.title}
            {more > 0 && <span className={panel.soft}> and {more} more</span>}
          </p>
          <ul className={styles.doses}>
            {doses.map(([id, dose]) => (
              <li key={id}>
                <b>{Math.round(dose)}</b>
                <svg viewBox="0 0 40 10" width="40" height="10" aria-hidden="true">
                  <rect
                    width={Math.max(3, (40 * dose) / most)}
                    height="10"
                    style={{ fill: `var(--strand-${skills.strands.find((s) => s.id === skills.byId.get(id)?.strand)?.hue ?? 'slate'})` }}
                  />
                </svg>
                <span>{skills.title(id).toLowerCase()}</span>
              </li>
            ))}
            {doses.length === 0 && <li className={panel.soft}>no step is met often</li>}
          </ul>
        </div>
      </div>
      <div className={styles.foot}>
        <span>
          <b>{Math.round(version.profile?.minutes[1] ?? version.minutes)}</b> min
        </span>
        <span>
          <b>{version.players.min === version.players.max ? version.players.min : `${version.players.min}–${version.players.max}`}</b>{' '}
          players
        </span>
        <span className={styles.mood}>
          <svg viewBox="0 0 40 22" width="36" height="20" aria-hidden="true">
            <path d="M3 20A17 17 0 0 1 37 20" className={styles.dial} />
            <path d="M20 20V6" className={styles.needle} transform={`rotate(${needle[game.mood]} 20 20)`} />
          </svg>
          {moodWords[game.mood]}
        </span>
        <span className={panel.spring} />
        {game.onShelf ? (
          <span className={styles.owned}>on your shelf</span>
        ) : (
          <Button onClick={onTake} disabled={taking} aria-label={`Take it: ${game.title}`}>
            Take it
          </Button>
        )}
        <Button onClick={onTry} aria-label={`Try a turn: ${game.title}`}>
          Try a turn
        </Button>
      </div>
      <div className={`${styles.needs} ${panel.small}`}>
        {version.materials.map((m) => (
          <ThingNeed
            key={m.kind}
            id={m.kind}
            kind={kinds.find((k) => k.id === m.kind)}
            quantity={m.quantity}
            {...(version.missing.some((x) => x.kind === m.kind) ? {} : { state: 'there' as const })}
          />
        ))}
        {version.materials.length === 0 && <span className={panel.soft}>nothing to lay out</span>}
        {version.standIns.length > 0 && <span className={panel.soft}>{version.standIns.join(' ')}</span>}
        <span className={panel.spring} />
        <span className={panel.soft}>
          {presenceText({ ...version.presence, for: '' })
            .replace(/\.$/, '')
            .toLowerCase()}
        </span>
      </div>
    </article>
  );
}
