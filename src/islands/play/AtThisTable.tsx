import type { HowToWire } from '../../contract/wire/howTo';
import type { TableWire } from '../../contract/wire/plan';
import { useState } from 'react';
import { HowToPlay, Helping } from '../shared/HowToPlay';
import { PictureSteps } from '../shared/PictureSteps';
import styles from './play.module.css';

/** What a helper reads of one version. */
export interface TableRules {
  readonly variant: string;
  readonly title: string;
  readonly own: readonly string[];
  readonly cautions: readonly string[];
  readonly howTo: HowToWire | null;
}

/**
 * The versions that are played at a table, each with its five lines, and who plays it where there are
 * several. All of it, or three pictures for the children, opens under the lines.
 */
export function AtThisTable({
  rules,
  table,
  nickname,
}: {
  rules: readonly TableRules[];
  table: TableWire;
  nickname: (id: string) => string;
}) {
  const ids = [...new Set(table.seats.map((s) => s.variant))];
  const [open, setOpen] = useState<{ variant: string; what: 'all' | 'pictures' } | null>(null);
  const toggle = (variant: string, what: 'all' | 'pictures'): void =>
    setOpen(open?.variant === variant && open.what === what ? null : { variant, what });
  return (
    <section className={styles.rules} aria-label="How it is played">
      {ids.map((id) => {
        const r = rules.find((x) => x.variant === id);
        if (!r) return null;
        const players = table.seats.filter((s) => s.variant === id).map((s) => nickname(s.learner));
        return (
          <article key={id}>
            <h2>
              {r.title}
              {ids.length > 1 && <small>: {players.join(', ')}</small>}
            </h2>
            {r.cautions.length > 0 && <p className={styles.caution}>{r.cautions.join(' ')}</p>}
            {r.howTo ? (
              <>
                {open?.variant === id && open.what === 'all' ? (
                  <HowToPlay howTo={r.howTo} own={r.own} pictures={<PictureSteps howTo={r.howTo} />} />
                ) : (
                  <>
                    <ul>
                      {r.howTo.card.map((line) => (
                        <li key={line}>{line}</li>
                      ))}
                    </ul>
                    {open?.variant === id && open.what === 'pictures' && <PictureSteps howTo={r.howTo} />}
                    <Helping howTo={r.howTo} />
                  </>
                )}
                <button type="button" aria-expanded={open?.variant === id && open.what === 'all'} onClick={() => toggle(id, 'all')}>
                  {open?.variant === id && open.what === 'all' ? 'fewer lines' : 'all rules'}
                </button>{' '}
                <button
                  type="button"
                  aria-expanded={open?.variant === id && open.what === 'pictures'}
                  onClick={() => toggle(id, 'pictures')}
                >
                  {open?.variant === id && open.what === 'pictures' ? 'no pictures' : 'in pictures'}
                </button>
              </>
            ) : (
              <ul>
                {r.own.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            )}
          </article>
        );
      })}
    </section>
  );
}
