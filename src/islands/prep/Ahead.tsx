import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AheadWire } from '../../contract/wire/prep';
import type { PrepSort } from '../../core/materials/gettingReady';
import { cautionOfWork } from '../../core/safety/hazards';
import { prepWords } from '../../text/sentences';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { Light } from '../../ui/Light';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { dayWords } from '../shared/words';
import styles from './prep.module.css';

const batches = {
  ...(Object.fromEntries(Object.entries(prepWords).map(([sort, words]) => [sort, capital(words)])) as Record<
    keyof typeof prepWords,
    string
  >),
  repair: 'To complete',
  thing: 'To buy or borrow',
} as const;
type Make = AheadWire['make'][number];

/** What all sessions until a day need, and what has to be made before; made by the batch, the soonest first. */
export function Ahead() {
  const client = useQueryClient();
  const tell = useTell();
  const [until, setUntil] = useState('');
  const ahead = useQuery({ queryKey: ['prep-ahead', until], queryFn: () => call('GET /prep/ahead', { query: until ? { until } : {} }) });
  /** Ticks on their way: shown in the same moment, until the list has been read anew. */
  const [onTheWay, setOnTheWay] = useState<Readonly<Record<string, boolean>>>({});
  const tick = useMutation({
    mutationFn: (body: { variant: string; step: string; ticked: boolean }) => call('PUT /prep/steps', { body }),
    onError: (e) => tell(messageOf(e), { bad: true }),
    onSettled: async (_answer, _error, { variant, step }) => {
      await client.invalidateQueries({ queryKey: ['prep-ahead'] });
      setOnTheWay((now) => Object.fromEntries(Object.entries(now).filter(([k]) => k !== `${variant}|${step}`)));
    },
  });
  const isDone = (m: Make): boolean => onTheWay[`${m.variant}|${m.step}`] ?? m.done;
  const set = (m: Make, ticked: boolean): void => {
    setOnTheWay((now) => ({ ...now, [`${m.variant}|${m.step}`]: ticked }));
    tick.mutate({ variant: m.variant!, step: m.step!, ticked });
  };
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
          {a.doneMinutes > 0 && `, ${Math.round(a.doneMinutes)} done`}
          {a.cost > 0 && `; costs ${money(a.cost)}`}
          {a.unpriced > 0 && `${a.cost > 0 ? ' and' : ';'} ${a.unpriced} to get without a price`}
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
            const left = own.filter((m) => !isDone(m)).reduce((sum, m) => sum + m.minutes, 0);
            return (
              own.length > 0 && (
                <section key={batch} className={panel.sheet}>
                  <h2>
                    {batches[batch]}
                    {left > 0 && <small className={styles.progress}>, {Math.round(left)} min in one go</small>}
                  </h2>
                  {workCaution(batch) && <p className={`${panel.small} ${panel.soft}`}>{workCaution(batch)}</p>}
                  <ul className={styles.items}>
                    {own.map((m) => {
                      const words = (
                        <span className={styles.what}>
                          {m.minutes > 0 && <b className={panel.num}>{m.minutes} min </b>}
                          {m.title}
                        </span>
                      );
                      return (
                        <li key={`${m.title}|${m.step}`} data-ticked={isDone(m)}>
                          {m.variant === null ? (
                            words
                          ) : (
                            <label>
                              <input type="checkbox" checked={isDone(m)} onChange={(e) => set(m, e.target.checked)} />
                              {words}
                            </label>
                          )}
                          <small>
                            {[m.what, m.cost === null ? '' : `costs ${money(m.cost)}`, `first for ${dayWords(m.first)}`]
                              .filter(Boolean)
                              .join('; ')}
                            {m.batch === 'print' && m.variant !== null && !isDone(m) && (
                              <>
                                {' · '}
                                <a href={link(`/prep/print?variant=${m.variant}`)}>print it</a>
                              </>
                            )}
                          </small>
                        </li>
                      );
                    })}
                  </ul>
                </section>
              )
            );
          })}
          {a.uses.length > 0 && (
            <section className={panel.sheet}>
              <h2>Used up by it</h2>
              <ul className={styles.items}>
                {a.uses.map((u) => (
                  <li key={u.what}>
                    <span className={styles.what}>
                      <b className={panel.num}>{u.quantity} × </b>
                      {u.what}
                    </span>
                    <small>{[u.cost === null ? 'no price written' : `costs ${money(u.cost)}`, u.for.join(', ')].join('; ')}</small>
                  </li>
                ))}
              </ul>
            </section>
          )}
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

/** An amount of the owner's money, whatever money it is. */
const money = (amount: number): string => amount.toFixed(2);

function capital(words: string): string {
  return words[0]!.toUpperCase() + words.slice(1);
}

/** What to mind at a sort of work; nothing where things are only fetched. */
const workCaution = (batch: string): string | null => (batch in prepWords ? cautionOfWork(batch as PrepSort) : null);
