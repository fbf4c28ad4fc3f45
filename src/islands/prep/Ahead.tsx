import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { Light } from '../../ui/Light';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { dayWords } from '../shared/words';
import styles from './prep.module.css';

const batches = { game: 'Games to get ready', repair: 'To complete', thing: 'Not there yet' } as const;

/** What all sessions until a day need, and what has to be made before; made by the batch, the soonest first. */
export function Ahead() {
  const [until, setUntil] = useState('');
  const ahead = useQuery({ queryKey: ['prep-ahead', until], queryFn: () => call('GET /prep/ahead', { query: until ? { until } : {} }) });
  if (ahead.error) return <Failure message={messageOf(ahead.error)} />;
  if (!ahead.data) return <Loading what="Looking ahead …" />;
  const a = ahead.data;
  return (
    <>
      <div className={panel.head}>
        <h1>The days ahead</h1>
        <label>
          until <input type="date" value={until || a.until} onChange={(e) => setUntil(e.target.value)} />
        </label>
        <span className={panel.soft}>
          {a.sessions.length} {a.sessions.length === 1 ? 'session' : 'sessions'}
          {a.minutes > 0 && `, about ${Math.round(a.minutes)} minutes to get ready`}
        </span>
        <span className={panel.spring} />
        <Button onClick={() => print()}>Print this list</Button>
        <LinkButton href={link('/prep')}>One session</LinkButton>
      </div>
      {a.sessions.length === 0 ? (
        <Empty title="No session is planned until then">
          <p>Choose a later day, or plan a session.</p>
          <LinkButton kind="main" href={link('/plan')}>
            To the plan
          </LinkButton>
        </Empty>
      ) : (
        <div className={styles.bins}>
          {(Object.keys(batches) as (keyof typeof batches)[]).map((batch) => {
            const own = a.make.filter((m) => m.batch === batch);
            return (
              own.length > 0 && (
                <section key={batch} className={panel.sheet}>
                  <h2>{batches[batch]}</h2>
                  <ul className={styles.items}>
                    {own.map((m) => (
                      <li key={m.title}>
                        <span className={styles.what}>
                          {m.minutes > 0 && <b className={panel.num}>{m.minutes} min </b>}
                          {m.title}
                        </span>
                        <small>
                          {m.what}; first for {dayWords(m.first)}
                        </small>
                      </li>
                    ))}
                  </ul>
                </section>
              )
            );
          })}
          {a.bins.map((b) => (
            <section key={b.title} className={panel.sheet}>
              <h2>{b.title}</h2>
              <ul className={styles.items}>
                {b.items.map((i) => (
                  <li key={i.item}>
                    <span className={styles.what}>
                      {i.quantity > 1 && <b className={panel.num}>{i.quantity} × </b>}
                      {i.title}
                    </span>
                    <small>
                      {i.item.startsWith('kind:') && (
                        <>
                          <Light state={i.state} />{' '}
                        </>
                      )}
                      {i.dates.map(dayWords).join(', ')}
                    </small>
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </div>
      )}
    </>
  );
}
