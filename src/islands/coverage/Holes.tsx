import { useState } from 'react';
import type { CoveredWire } from '../../contract/wire/coverage';
import { Button } from '../../ui/Button';
import { LinkButton } from '../../ui/LinkButton';
import { GapHelp } from '../learner/GapHelp';
import { link } from '../shared/api';
import panel from '../shared/panel.module.css';
import styles from './coverage.module.css';

/** Holes of a grade, those first for which most children are ready; each with what would close it, as a button. */
export function Holes({
  items,
  band,
  busy,
  onTake,
  onBack,
  onChoose,
}: {
  items: readonly CoveredWire[];
  band: string;
  busy: boolean;
  onTake: (game: { readonly game: string; readonly title: string }) => void;
  onBack: (game: { readonly game: string; readonly title: string }) => void;
  onChoose: (e: CoveredWire) => void;
}) {
  const [asked, setAsked] = useState<string | null>(null);
  const sorted = [...items].sort((x, y) => y.waiting.length - x.waiting.length);
  return (
    <section className={panel.sheet}>
      <h2>{items.length === 0 ? `Nothing is missing in ${band || 'this list'}` : `Without a game in ${band || 'this list'}`}</h2>
      <ul className={panel.list}>
        {sorted.map((e) => (
          <li key={e.identifier} className={styles.holeRow}>
            <button type="button" className={styles.code} onClick={() => onChoose(e)}>
              {e.code}
            </button>
            <span>
              {e.statement}
              {e.waiting.length > 0 && (
                <b className={styles.waiting}> {e.waiting.length === 1 ? '1 child is ready' : `${e.waiting.length} children are ready`}</b>
              )}
            </span>
            <span className={panel.row}>
              {e.away.map((g) => (
                <Button key={g.game} disabled={busy} onClick={() => onBack(g)}>
                  Bring back {g.title}
                </Button>
              ))}
              {e.remedies.map((g) => (
                <Button key={g.game} disabled={busy} onClick={() => onTake(g)}>
                  Take {g.title}
                </Button>
              ))}
              {e.remedies.length + e.away.length === 0 && (
                <>
                  <span className={panel.soft}>nothing in the library plays it</span>
                  <LinkButton kind="plain" href={link('/shelf/library')}>
                    look through it
                  </LinkButton>
                </>
              )}
              {e.remedies.length + e.away.length === 0 && e.lacks.length > 0 && asked !== e.identifier && (
                <Button kind="plain" onClick={() => setAsked(e.identifier)}>
                  turn a version
                </Button>
              )}
              {asked === e.identifier && e.lacks.map((skill) => <GapHelp key={skill} skill={skill} who={null} barred={null} />)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
