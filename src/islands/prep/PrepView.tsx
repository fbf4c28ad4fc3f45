import type { PlanShort } from '../../contract/wire/plans';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { cautionsOnce } from '../../core/safety/hazards';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading, Progress } from '../../ui/Empty';
import { Light } from '../../ui/Light';
import { LinkButton } from '../../ui/LinkButton';
import { ApiError, call, fileOf, link, saveFile } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { paperAndInk } from '../shared/printHow';
import { PlanPicker } from '../shared/PlanPicker';
import { usePlanChoice } from '../shared/usePlanChoice';
import { dayWords } from '../shared/words';
import { Ahead } from './Ahead';
import { PlanB } from './PlanB';
import { ByTable } from './ByTable';
import styles from './prep.module.css';

export default function PrepView({ plan, ahead = false }: { plan: string | null; ahead?: boolean }) {
  return <App>{ahead ? <Ahead /> : <Prep asked={plan} />}</App>;
}

function Prep({ asked }: { asked: string | null }) {
  const { plans, chosen, loading, error } = usePlanChoice(asked, 'ahead');
  if (error) return <Failure message={messageOf(error)} />;
  if (loading) return <Loading />;
  if (!chosen)
    return (
      <>
        <div className={panel.head}>
          <h1>Prep</h1>
          <span className={panel.spring} />
          <LinkButton href={link('/prep/print')}>Printer’s desk</LinkButton>
        </div>
        <Empty title="Nothing to gather yet">
          <p>Plan a session first; then everything it needs stands here, bin by bin.</p>
          <LinkButton kind="main" href={link('/plan')}>
            Plan a session
          </LinkButton>
        </Empty>
      </>
    );
  return <GatherList plans={plans} chosen={chosen} />;
}

/** What to bring, bin by bin, with ticks that stay. */
function GatherList({ plans, chosen }: { plans: PlanShort[]; chosen: PlanShort }) {
  const client = useQueryClient();
  const tell = useTell();
  const key = ['gather', chosen.id];
  const gather = useQuery({ queryKey: key, queryFn: () => call('GET /plans/{id}/gather', { params: { id: chosen.id } }) });
  /** Ticks on their way: shown in the same moment, until the list has been read anew. */
  const [onTheWay, setOnTheWay] = useState<Readonly<Record<string, boolean>>>({});
  const tick = useMutation({
    mutationFn: ({ item, ticked }: { item: string; ticked: boolean }) =>
      call('PUT /plans/{id}/gather', { params: { id: chosen.id }, body: { item, ticked } }),
    onError: (e) => tell(messageOf(e), { bad: true }),
    onSettled: async (_answer, _error, { item, ticked }) => {
      await client.invalidateQueries({ queryKey: key });
      setOnTheWay((now) => (now[item] === ticked ? Object.fromEntries(Object.entries(now).filter(([i]) => i !== item)) : now));
    },
  });
  const stop = useRef<AbortController | null>(null);
  const [share, setShare] = useState(0);
  const paper = useMutation({
    mutationFn: (everything: boolean) => {
      stop.current = new AbortController();
      setShare(0);
      const asked = { params: { id: chosen.id }, body: { everything, ...paperAndInk() }, query: { wait: 0.5 } };
      return fileOf('POST /plans/{id}/pack', asked, stop.current.signal, setShare);
    },
    onSuccess: (file) => saveFile(file, `session-${chosen.date}.pdf`),
    onError: (e) => {
      if (!(e instanceof ApiError && e.problem.code === 'cancelled')) tell(messageOf(e), { bad: true });
    },
  });
  const [back, setBack] = useState(chosen.playedAt !== null);
  const [shown, setShown] = useState<'bins' | 'tables' | 'plan-b'>('bins');
  const turn = (to: typeof shown): void => setShown(shown === to ? 'bins' : to);
  const set = (item: string, ticked: boolean): void => {
    setOnTheWay((now) => ({ ...now, [item]: ticked }));
    tick.mutate({ item, ticked });
  };
  if (gather.error) return <Failure message={messageOf(gather.error)} />;
  if (!gather.data) return <Loading what="Looking into the bins …" />;
  const keyOf = (item: string): string => (back ? `back:${item}` : item);
  const ticked = (i: { item: string; ticked: boolean; back: boolean }): boolean => onTheWay[keyOf(i.item)] ?? (back ? i.back : i.ticked);
  const all = gather.data.bins.flatMap((b) => b.items);
  const g = { ...gather.data, ticked: all.filter(ticked).length };
  // What can hurt among these things, each caution once.
  const cautions = cautionsOnce(all.flatMap((x) => x.caution ?? []));
  return (
    <>
      <div className={panel.head}>
        <h1>Gather</h1>
        <span>
          {dayWords(g.date)}: <b className={panel.num}>{g.ticked}</b> of <b className={panel.num}>{g.total}</b>{' '}
          {back ? 'back in their bins' : 'in the basket'}
        </span>
        <Button kind="plain" onClick={() => setBack(!back)}>
          {back ? 'Count out' : 'Count back'}
        </Button>
        <Button kind="plain" onClick={() => turn('tables')}>
          {shown === 'tables' ? 'By bin' : 'By table'}
        </Button>
        {chosen.playedAt === null && (
          <Button kind="plain" aria-pressed={shown === 'plan-b'} onClick={() => turn('plan-b')}>
            Plan B
          </Button>
        )}
        <span className={panel.spring} />
        <PlanPicker plans={plans} chosen={chosen} path="/prep" />
        <LinkButton href={link(`/plan/${chosen.id}`)}>The plan</LinkButton>
        <LinkButton href={link('/prep?ahead')}>The days ahead</LinkButton>
        <LinkButton href={link('/prep/print')}>Printer’s desk</LinkButton>
        <Button disabled={paper.isPending} onClick={() => paper.mutate(false)}>
          {paper.isPending ? 'Printing …' : 'Session on paper'}
        </Button>
        <LinkButton kind="main" href={link(`/play?plan=${chosen.id}`)}>
          Play
        </LinkButton>
      </div>
      {cautions.length > 0 && (
        <div className={styles.caution}>
          {cautions.map((c) => (
            <p key={c}>{c}</p>
          ))}
        </div>
      )}
      <p className={`${panel.soft} ${panel.small} ${styles.paper}`}>
        <b>Session on paper</b> is one PDF: the plan with plan B on its back, this list, a card for every table, and the sheets that are not
        ready yet.{' '}
        <Button kind="plain" disabled={paper.isPending} onClick={() => paper.mutate(true)}>
          With all its sheets
        </Button>{' '}
        <Button kind="plain" onClick={() => print()}>
          Only this list
        </Button>
      </p>
      {paper.isPending && (
        <div className={styles.printing} role="status">
          <Progress share={share} label="Printing" /> <Button onClick={() => stop.current?.abort()}>Stop</Button>
        </div>
      )}
      {shown === 'tables' && <ByTable tables={g.tables} />}
      {shown === 'plan-b' && <PlanB plan={chosen.id} />}
      <div className={styles.bins} hidden={shown !== 'bins'}>
        {g.bins.map((b) => (
          <section key={b.bin} className={panel.sheet}>
            <h2>{b.title}</h2>
            <ul className={styles.items}>
              {b.items.map((i) => (
                <li key={i.item} data-ticked={ticked(i)}>
                  <label>
                    <input type="checkbox" checked={ticked(i)} onChange={(e) => set(keyOf(i.item), e.target.checked)} />
                    <span className={styles.what}>
                      {i.have !== null || i.quantity > 1 ? <b className={panel.num}>{i.quantity} × </b> : null}
                      {i.title}
                    </span>
                  </label>
                  <small>
                    {i.have !== null && (
                      <>
                        <Light state={i.state} />{' '}
                        {i.state === 'there' ? `${i.have} there` : i.state === 'short' ? `only ${i.have} there` : 'none there'} ·{' '}
                      </>
                    )}
                    round {i.rounds.map((r) => r + 1).join(', ')}
                    {i.forGames.length > 0 && ` · ${i.forGames.join(', ')}`}
                    {i.notes && ` · ${i.notes}`}
                  </small>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}
