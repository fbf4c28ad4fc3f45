import type { TableWire } from '../../contract/wire/plan';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { PlanPicker } from '../shared/PlanPicker';
import { useSkills } from '../shared/useSkills';
import { usePlanChoice } from '../shared/usePlanChoice';
import { dayWords, pageToday } from '../shared/words';
import styles from './play.module.css';
import { unsentTables } from './keptNotes';
import { TableNotes } from './TableNotes';

export default function PlayView({ plan }: { plan: string | null }) {
  return (
    <App>
      <Play asked={plan} />
    </App>
  );
}

function Play({ asked }: { asked: string | null }) {
  const { plans, chosen, loading, error } = usePlanChoice(asked, 'ahead');
  const { at, open, next, back } = usePlace();
  const plan = useQuery({
    queryKey: ['plan', chosen?.id],
    queryFn: () => call('GET /plans/{id}', { params: { id: chosen!.id } }),
    enabled: chosen !== null,
    staleTime: 60_000,
  });
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const notes = useQuery({
    queryKey: ['evidence', 'session', chosen?.id],
    queryFn: () => call('GET /evidence', { query: { session: chosen!.id, limit: 5000 } }),
    enabled: chosen !== null,
  });
  const rules = useQuery({
    queryKey: ['how-to', 'plan', chosen?.id],
    queryFn: () => call('GET /plans/{id}/how-to', { params: { id: chosen!.id } }),
    enabled: chosen !== null,
    staleTime: 60_000,
  });
  const skills = useSkills();
  const tell = useTell();
  const client = useQueryClient();
  const played = useMutation({
    mutationFn: () => call('POST /plans/{id}/played', { params: { id: chosen!.id }, body: { played: true } }),
    onSuccess: () => void (location.href = link(`/review?plan=${chosen!.id}`)),
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (error || plan.error) return <Failure message={messageOf(error ?? plan.error)} />;
  if (loading) return <Loading />;
  if (!chosen)
    return (
      <Empty title="No session to play yet">
        <p>Plan a session first.</p>
        <LinkButton kind="main" href={link('/plan')}>
          Plan a session
        </LinkButton>
      </Empty>
    );
  if (!plan.data || !skills || !learners.data) return <Loading what="Setting the tables …" />;
  const p = plan.data;
  const nickname = (id: string): string => learners.data.items.find((l) => l.id === id)?.nickname ?? id;
  if (at) {
    const table = p.rounds[at.round]!.tables[at.table]!;
    const nextTable = p.rounds[at.round + 1]?.tables[at.table];
    return (
      <TableNotes
        key={`${at.round}|${at.table}`}
        plan={p}
        at={at}
        table={table}
        next={nextTable ? `${nextTable.title}, table ${at.table + 1}` : 'the end'}
        rules={rules.data?.items ?? []}
        learners={learners.data.items}
        skills={skills}
        onBack={back}
        sent={(notes.data?.items ?? []).filter((n) => !n.retracted)}
        onTakenBack={() => void client.invalidateQueries({ queryKey: ['evidence'] })}
        onDone={() => {
          void client.invalidateQueries();
          tell(nextTable ? `Noted. Now round ${at.round + 2}: ${nextTable.title}.` : 'Noted. That was the last round of this table.');
          next(nextTable ? { round: at.round + 1, table: at.table } : null);
        }}
      />
    );
  }
  const unsent = unsentTables(p);
  const waiting = new Map(unsent.map((u) => [`${u.round}|${u.table}`, u.taps]));
  const taps = unsent.reduce((sum, u) => sum + u.taps, 0);
  const noted = new Set(notes.data?.items.filter((n) => !n.retracted).map((n) => `${n.variant}|${n.learner}`));
  return (
    <div className={styles.start}>
      <div className={panel.head}>
        <h1>Play, {dayWords(p.date)}</h1>
        <PlanPicker plans={plans} chosen={chosen} path="/play" />
        <LinkButton href={link(`/play/strips?plan=${chosen.id}`)}>Notes from paper</LinkButton>
        {!p.playedAt && <LinkButton href={link(`/plan/${chosen.id}`)}>Change the plan</LinkButton>}
      </div>
      <p className={panel.lead}>
        {p.date > pageToday()
          ? 'This session lies ahead; notes are kept for its day or earlier.'
          : 'Choose your table. No tap means nothing; one tap is about one thing you saw.'}
      </p>
      {p.rounds.map((round, r) => (
        <section key={r}>
          <h2>Round {r + 1}</h2>
          <div className={styles.tables}>
            {round.tables.map((t, i) => {
              const done = t.seats.filter((s) => noted.has(`${s.variant}|${s.learner}`)).length;
              return (
                <button
                  key={i}
                  type="button"
                  className={styles.table}
                  data-place={`${r}|${i}`}
                  onClick={() => open({ round: r, table: i })}
                >
                  <span className={styles.tableNo}>Table {i + 1}</span>
                  <b>{t.title}</b>
                  <span>{atTheTable(t, nickname)}</span>
                  <small>{tableWords(done, t.seats.length, waiting.get(`${r}|${i}`) ?? 0)}</small>
                </button>
              );
            })}
          </div>
          {round.resting.length > 0 && (
            <p className={panel.soft}>
              {round.resting
                .map((l) => {
                  const task = round.meanwhile.find((m) => m.learner === l);
                  return task ? `${nickname(l)}: ${task.text}` : `${nickname(l)} rests`;
                })
                .join('; ')}
            </p>
          )}
        </section>
      ))}
      {taps > 0 && (
        <p className={styles.unsent} role="status">
          {taps === 1 ? 'One tap is' : `${taps} taps are`} on this device only. Open the {unsent.length === 1 ? 'table' : 'tables'} and say
          “Done here” to send {taps === 1 ? 'it' : 'them'}.
        </p>
      )}
      <div className={panel.actions}>
        {p.playedAt ? (
          <LinkButton kind="main" href={link(`/review?plan=${p.id}`)}>
            To the review
          </LinkButton>
        ) : (
          <Button kind="main" disabled={played.isPending} onClick={() => played.mutate()}>
            The session is over
          </Button>
        )}
      </div>
    </div>
  );
}

interface Place {
  readonly round: number;
  readonly table: number;
}

/**
 * Which table is open. The browser's Back goes from a table to all tables, as its own button does; whatever is opened is seen from its
 * top, and the keys stand there too.
 */
function usePlace(): { at: Place | null; open: (at: Place) => void; next: (at: Place | null) => void; back: () => void } {
  const [at, setAt] = useState<Place | null>(null);
  const last = useRef<Place | null>(null);
  useEffect(() => {
    // A page that was just loaded shows all tables, whatever was open before.
    history.replaceState({ ...(history.state as object | null), table: undefined }, '');
    const moved = (e: PopStateEvent): void => setAt((e.state as { table?: Place } | null)?.table ?? null);
    addEventListener('popstate', moved);
    return () => removeEventListener('popstate', moved);
  }, []);
  useEffect(() => {
    const before = last.current;
    last.current = at;
    if (at === null && before === null) return;
    const target =
      at === null
        ? document.querySelector<HTMLElement>(`[data-place="${before!.round}|${before!.table}"]`)
        : (document.querySelector<HTMLElement>('main h1') ?? document.querySelector<HTMLElement>('h1'));
    if (at !== null) {
      scrollTo(0, 0);
      target?.setAttribute('tabindex', '-1');
    }
    target?.focus({ preventScroll: at !== null });
  }, [at]);
  const back = (): void => (history.state && (history.state as { table?: Place }).table ? history.back() : setAt(null));
  return {
    at,
    open: (to) => {
      history.pushState({ ...(history.state as object | null), table: to }, '');
      setAt(to);
    },
    next: (to) => {
      if (to === null) return back();
      history.replaceState({ ...(history.state as object | null), table: to }, '');
      setAt(to);
    },
    back,
  };
}

/** Who sits at a table, two on one seat as a pair. */
function atTheTable(t: TableWire, nickname: (id: string) => string): string {
  const own = t.seats.filter((s) => s.with === null);
  const names = own.map((s) => [s, ...t.seats.filter((x) => x.with === s.learner)].map((x) => nickname(x.learner)).join(' with '));
  return [...names, ...(t.grownUp ? ['a grown-up'] : [])].join(', ');
}

function tableWords(noted: number, seats: number, waiting: number): string {
  const sent = noted > 0 ? `${noted} of ${seats} noted` : waiting > 0 ? '' : 'nothing noted yet';
  return [sent, waiting > 0 ? `${waiting} not sent yet` : ''].filter(Boolean).join(', ');
}
