import type { PlayableWire } from '../../contract/wire/thingsOwned';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { link } from '../shared/api';
import panel from '../shared/panel.module.css';
import styles from './things.module.css';

/** A child with fewer games than this is drawn in outline. */
const few = 5;
const barHeight = 34;

/** What can be played with what is there: a number, a bar for each child, and the games themselves on a tap. */
export function CupboardStrip({
  playable,
  lead = 'Only this cupboard',
  children,
}: {
  playable: PlayableWire;
  lead?: string;
  children?: React.ReactNode;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const shelf = playable.games.filter((g) => g.where === 'shelf').length;
  const most = Math.max(1, ...playable.children.map((c) => c.games));
  const shown = open === null ? [] : playable.games.filter((g) => open === '' || g.learners.includes(open));
  const nickname = playable.children.find((c) => c.learner === open)?.nickname;
  return (
    <>
      <div className={styles.strip}>
        <div className={styles.lead}>
          <b>{lead}</b>
          <span>what can be played today</span>
          {children}
        </div>
        <button type="button" className={styles.total} aria-expanded={open === ''} onClick={() => setOpen(open === '' ? null : '')}>
          <b>{playable.games.length}</b>
          <span>
            {playable.games.length === 1 ? 'game' : 'games'}, nothing to fetch
            <br />
            <span className={styles.of}>
              {shelf} on the shelf, {playable.games.length - shelf} in the library
            </span>
          </span>
        </button>
        {playable.children.length > 0 && (
          <div className={styles.bars} role="group" aria-label="Games each child can play">
            <span className={styles.of}>Games each child can play (outlined: fewer than {few})</span>
            <div className={styles.barRow}>
              {playable.children.map((c) => (
                <button
                  key={c.learner}
                  type="button"
                  aria-expanded={open === c.learner}
                  aria-label={`${c.nickname}: ${c.games} ${c.games === 1 ? 'game' : 'games'}`}
                  onClick={() => setOpen(open === c.learner ? null : c.learner)}
                >
                  <b>{c.games}</b>
                  <svg width="18" height={barHeight} aria-hidden="true">
                    <rect
                      x="1"
                      width="16"
                      y={barHeight - Math.max(2, (barHeight * c.games) / most)}
                      height={Math.max(2, (barHeight * c.games) / most)}
                      className={c.games < few ? styles.fewBar : styles.bar}
                    />
                  </svg>
                  <span>{c.nickname}</span>
                </button>
              ))}
            </div>
          </div>
        )}
      </div>
      {open !== null && (
        <section
          className={`${panel.sheet} ${styles.openGames}`}
          aria-label={nickname ? `Games for ${nickname}` : 'Games that can be played'}
        >
          <h2>{nickname ? `For ${nickname}` : 'With what is there'}</h2>
          {shown.length === 0 && <p className={panel.soft}>No game yet. One thing more may open some.</p>}
          <ul className={styles.gameList}>
            {shown.map((g) => (
              <li key={`${g.where} ${g.game}`}>
                <a href={link(g.where === 'shelf' ? `/shelf/${g.game}` : `/shelf/library?text=${encodeURIComponent(g.title)}`)}>
                  {g.title}
                </a>{' '}
                <span className={panel.soft}>{g.where === 'library' ? 'in the library' : ''}</span>
                {g.standIns.length > 0 && <p className={`${panel.soft} ${panel.small}`}>{g.standIns.join(' ')}</p>}
              </li>
            ))}
          </ul>
          <Button kind="plain" onClick={() => setOpen(null)}>
            Close
          </Button>
        </section>
      )}
    </>
  );
}
