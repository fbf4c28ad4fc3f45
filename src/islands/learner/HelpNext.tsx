import { useQuery } from '@tanstack/react-query';
import { Failure, Loading } from '../../ui/Empty';
import { api, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import styles from './learner.module.css';

interface Recommendations {
  items: { game: string; title: string; value: number; source: string; seats: { learner: string; variant: string; variantTitle: string; chances: number; success: number }[]; reasons: string[] }[];
  excluded: { game: string; title: string; because: string; alternative: string | null }[];
}

/** Games that help next, each with its two lines; and what kept the others out. */
export function HelpNext({ learners, nickname, limit = 4, title = 'Games that help next' }: { learners: readonly string[]; nickname?: (id: string) => string; limit?: number; title?: string }) {
  const found = useQuery({ queryKey: ['recommend', learners, limit], queryFn: () => api<Recommendations>('POST', '/recommendations', { learners, minutes: 15, limit }) });
  return (
    <section className={`${panel.sheet} ${styles.help}`}>
      <h2>{title}</h2>
      {found.isLoading && <Loading what="Looking along the shelf …" />}
      {found.error && <Failure message={messageOf(found.error)} />}
      {found.data?.items.map((r) => (
        <div key={r.game} className={styles.suggestion}>
          <a href={link(`/shelf/${r.game}?version=${r.seats[0]!.variant}`)}>
            <b>{r.title}</b> {learners.length === 1 && r.seats[0]!.variantTitle}
          </a>
          {learners.length > 1 && <p>{r.seats.map((s) => `${nickname?.(s.learner) ?? s.learner} plays “${s.variantTitle}”`).join(', ')}.</p>}
          {r.reasons.map((line) => (
            <p key={line}>{line}</p>
          ))}
          {r.source === 'declared' && <p className={panel.soft}>The numbers are the owner’s word.</p>}
        </div>
      ))}
      {found.data?.items.length === 0 && <p>No game on the shelf fits what is needed now.</p>}
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
