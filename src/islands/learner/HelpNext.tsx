import type { SuggestionWire } from '../../contract/wire/recommend';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Failure, Loading } from '../../ui/Empty';
import { call, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { GapHelp } from './GapHelp';
import styles from './learner.module.css';

/** Games that help next, each with its two lines; and what kept the others out. */
export function HelpNext({
  learners,
  nickname,
  limit = 4,
  title = 'Games that help next',
}: {
  learners: readonly string[];
  nickname?: (id: string) => string;
  limit?: number;
  title?: string;
}) {
  const [minutes, setMinutes] = useState(15);
  const [noHelper, setNoHelper] = useState(false);
  const [ready, setReady] = useState(false);
  const asked = { learners, minutes, limit, ...(noHelper ? { withoutHelper: true } : {}), ...(ready ? { preparationMinutes: 0 } : {}) };
  const found = useQuery({
    queryKey: ['recommend', asked],
    queryFn: () => call('POST /recommendations', { body: asked }),
    placeholderData: (before) => before,
  });
  return (
    <section className={panel.sheet}>
      <h2>{title}</h2>
      <div className={`${panel.row} ${panel.small}`}>
        <label>
          In{' '}
          <select value={minutes} onChange={(e) => setMinutes(Number(e.target.value))}>
            {[10, 15, 20, 30].map((m) => (
              <option key={m} value={m}>
                {m} minutes
              </option>
            ))}
          </select>
        </label>
        <label>
          <input type="checkbox" checked={noHelper} onChange={(e) => setNoHelper(e.target.checked)} /> no helper free
        </label>
        <label>
          <input type="checkbox" checked={ready} onChange={(e) => setReady(e.target.checked)} /> nothing to make
        </label>
      </div>
      {found.isLoading && <Loading what="Looking along the shelf …" />}
      {found.error && <Failure message={messageOf(found.error)} />}
      {found.data?.items.map((r) => (
        <div key={r.game} className={styles.suggestion}>
          <a href={link(`/shelf/${r.game}?version=${r.seats[0]!.variant}`)}>
            <b>{r.title}</b> {learners.length === 1 && r.seats[0]!.variantTitle}
          </a>
          {learners.length > 1 && <p>{whoPlaysWhat(r.seats, (id) => nickname?.(id) ?? id)}</p>}
          {r.reasons.map((line) => (
            <p key={line}>{line}</p>
          ))}
          {r.source === 'declared' && <p className={panel.soft}>The numbers are the owner’s word.</p>}
        </div>
      ))}
      {found.data?.items.length === 0 && <p>No game on the shelf fits what is needed now.</p>}
      {found.data?.open.map((o) => (
        <GapHelp
          key={`${o.learner}${o.skill}`}
          skill={o.skill}
          barred={o.barred}
          who={learners.length > 1 ? (nickname?.(o.learner) ?? null) : null}
        />
      ))}
      {found.data && found.data.excluded.length > 0 && (
        <details>
          <summary>{found.data.excluded.length} games left out, and why</summary>
          <ul className={styles.excluded}>
            {found.data.excluded.map((x) => (
              <li key={x.game}>
                <b>{x.title}</b>: {x.because}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** Who plays which version, those with the same one together. */
function whoPlaysWhat(seats: SuggestionWire['seats'], name: (id: string) => string): string {
  const byVersion = new Map<string, string[]>();
  for (const s of seats) byVersion.set(s.variantTitle, [...(byVersion.get(s.variantTitle) ?? []), name(s.learner)]);
  if (byVersion.size === 1) return `All play “${seats[0]!.variantTitle}”.`;
  return `${[...byVersion].map(([version, names]) => `${names.join(' and ')} ${names.length > 1 ? 'play' : 'plays'} “${version}”`).join('; ')}.`;
}
