import { useQuery } from '@tanstack/react-query';
import { call, link } from '../shared/api';
import panel from '../shared/panel.module.css';
import { dayWords, ofItsDay } from '../shared/words';

/** Sessions that were planned without a term, the latest first. */
export function Sessions() {
  const plans = useQuery({ queryKey: ['plans'], queryFn: () => call('GET /plans', { query: { limit: 50 } }) });
  if (!plans.data || plans.data.items.length === 0) return null;
  return (
    <section className={panel.sheet}>
      <h2>Sessions</h2>
      <ul className={panel.list}>
        {plans.data.items.map((p) => (
          <li key={p.id} className={panel.row}>
            <a href={link(`/plan/${p.id}`)}>
              {dayWords(p.date)}
              {ofItsDay(p, plans.data.items)}
            </a>
            <span className={panel.soft}>{p.playedAt ? 'played' : p.status === 'infeasible' ? 'nobody has a seat' : 'planned'}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
