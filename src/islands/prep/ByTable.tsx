import { useQuery } from '@tanstack/react-query';
import type { GatherWire } from '../../contract/wire/prep';
import { call } from '../shared/api';
import panel from '../shared/panel.module.css';
import { useSupportTitle } from '../shared/useSupportTitle';
import styles from './prep.module.css';

/** What is laid out table by table, each seat's tool, and who takes what back. */
export function ByTable({ tables }: { tables: GatherWire['tables'] }) {
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const nickname = (id: string): string => learners.data?.items.find((l) => l.id === id)?.nickname ?? id;
  const toolTitle = useSupportTitle();
  const rounds = [...new Set(tables.map((t) => t.round))];
  return (
    <>
      {rounds.map((round) => (
        <section key={round} className={styles.round}>
          <h2>Round {round + 1}</h2>
          <div className={styles.tables}>
            {tables
              .filter((t) => t.round === round)
              .map((t) => (
                <article key={t.table} className={panel.sheet}>
                  <h3>
                    Table {t.table + 1}: {t.title}
                  </h3>
                  <p className={panel.soft}>{t.versions.join(', ')}</p>
                  <ul className={styles.plain}>
                    {t.things.map((m) => (
                      <li key={m.title}>
                        <b className={panel.num}>{m.quantity} ×</b> {m.title}
                      </li>
                    ))}
                    {t.tools.map((s) => (
                      <li key={s.learner}>
                        for {nickname(s.learner)}: {toolTitle(s.tool)}
                      </li>
                    ))}
                    {t.things.length === 0 && t.tools.length === 0 && <li className={panel.soft}>nothing but the game itself</li>}
                  </ul>
                  {t.returns && (
                    <p className={panel.small}>
                      <b>{nickname(t.returns.learner)}</b> takes back: {t.returns.things.join(', ')}.
                    </p>
                  )}
                </article>
              ))}
          </div>
        </section>
      ))}
    </>
  );
}
