import type { EstimateWire } from '../../contract/wire/maps';
import { useState } from 'react';
import { movedLately } from '../../core/mastery/movedLately';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { pageToday } from '../shared/words';
import styles from './learner.module.css';

/** As many names as stand in a list before the rest is folded. */
const shownFirst = 6;

/** What moved, what is good next, what was looked at and is open (the least sure first), what nobody has looked at, and what is worth checking; each name opens its skill. */
export function OpenNow({
  estimates,
  next,
  skills,
  ownGoals,
  onFocus,
}: {
  estimates: readonly EstimateWire[];
  next: ReadonlySet<string>;
  skills: Skills;
  ownGoals: boolean;
  onFocus: (skill: string) => void;
}) {
  const inOrder = [...estimates].sort(
    (x, y) => (skills.byId.get(x.skill)?.wantedAt.us ?? 0) - (skills.byId.get(y.skill)?.wantedAt.us ?? 0),
  );
  const gaps = inOrder.filter((e) => e.gap && !next.has(e.skill)).sort((x, y) => x.asSeen - y.asSeen);
  const unlooked = inOrder.filter((e) => e.unlooked && !next.has(e.skill));
  const byId = new Map(estimates.map((e) => [e.skill, e]));
  const moved = movedLately(estimates, pageToday()).map((m) => byId.get(m.skill)!);
  const due = inOrder.filter((e) => e.dueForReview);
  return (
    <section className={`${panel.sheet} ${styles.open}`} aria-label="What to look at">
      <Names title="Moved lately" none="No new notes in four weeks." list={moved} skills={skills} onFocus={onFocus} />
      <Names
        title="Good next"
        none="Nothing just now; let play go on."
        list={inOrder.filter((e) => next.has(e.skill))}
        skills={skills}
        onFocus={onFocus}
      />
      <Names
        title={ownGoals ? 'On the way to own goals' : 'Looked at and open'}
        none="Nothing that was looked at is open."
        list={gaps}
        skills={skills}
        onFocus={onFocus}
      />
      <Names title="Not looked at yet" none="All that is wanted by now was looked at." list={unlooked} skills={skills} onFocus={onFocus} />
      <Names title="Worth checking" none="Nothing was away for long." list={due} skills={skills} onFocus={onFocus} />
    </section>
  );
}

function Names({
  title,
  none,
  list,
  skills,
  onFocus,
}: {
  title: string;
  none: string;
  list: readonly EstimateWire[];
  skills: Skills;
  onFocus: (skill: string) => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? list : list.slice(0, shownFirst);
  return (
    <div>
      <h2>
        {title} <span className={panel.soft}>{list.length > 0 ? list.length : ''}</span>
      </h2>
      {list.length === 0 ? (
        <p className={`${panel.soft} ${panel.small}`}>{none}</p>
      ) : (
        <ul>
          {shown.map((e) => (
            <li key={e.skill}>
              <button type="button" className={styles.linkLike} onClick={() => onFocus(e.skill)}>
                {skills.title(e.skill)}
              </button>
            </li>
          ))}
          {list.length > shown.length && (
            <li>
              <button type="button" className={styles.linkLike} onClick={() => setAll(true)}>
                and {list.length - shown.length} more
              </button>
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
