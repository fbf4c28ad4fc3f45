import { useQuery } from '@tanstack/react-query';
import { call, link } from '../shared/api';
import panel from '../shared/panel.module.css';
import { dayWords } from '../shared/words';

const shown = 6;

/** When the game was played, with whom, how it went, and who asks for it. */
export function History({ game }: { game: string }) {
  const found = useQuery({ queryKey: ['history', game], queryFn: () => call('GET /games/{id}/history', { params: { id: game } }) });
  if (!found.data) return null;
  const { plays, liked } = found.data;
  if (plays.length === 0 && liked.length === 0) return null;
  const dates = new Set(plays.map((p) => p.date)).size;
  return (
    <section className={panel.sheet}>
      <h2>Played here</h2>
      {liked.length > 0 && (
        <p>
          Asked for by{' '}
          {liked.map((l, i) => (
            <span key={l.learner}>
              {i > 0 && ', '}
              <a href={link(`/learners/${l.learner}`)}>{l.nickname}</a>
            </span>
          ))}
          .
        </p>
      )}
      {plays.length === 0 ? (
        <p className={panel.soft}>Not in a session yet.</p>
      ) : (
        <>
          <p className={panel.small}>
            At {plays.length} {plays.length === 1 ? 'table' : 'tables'} on {dates} {dates === 1 ? 'day' : 'days'}.
          </p>
          <ul className={panel.list}>
            {plays.slice(0, shown).map((p) => (
              <li key={`${p.plan}|${p.round}|${p.learners[0]?.learner}`}>
                <a href={link(`/review?plan=${p.plan}`)}>{dayWords(p.date)}</a>{' '}
                <span className={panel.soft}>
                  {p.learners.map((l) => l.nickname).join(', ')}
                  {noteWords(p.notes)}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function noteWords({ alone, support, stuck }: { alone: number; support: number; stuck: number }): string {
  const words = [
    alone > 0 ? `${alone} on their own` : '',
    support > 0 ? `${support} with help` : '',
    stuck > 0 ? `${stuck} stuck` : '',
  ].filter(Boolean);
  return words.length > 0 ? `: ${words.join(', ')}` : '';
}
