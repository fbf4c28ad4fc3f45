import type { MeetingWire, TermWire } from '../../contract/wire/term';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { daysBetween } from '../../core/shared/days';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading, Progress } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { addressOf, call, follow, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { paperKept } from '../shared/printHow';
import { useKitchen } from '../shared/useKitchen';
import { dayWords, spanWords } from '../shared/words';
import styles from './plan.module.css';
import { SessionDialog } from './SessionDialog';
import { SessionNow } from './SessionNow';
import { Sessions } from './Sessions';
import { TermDialog } from './TermDialog';
import { WishesDialog } from './WishesDialog';

export default function PlanView({ date, now = false, wishes = false }: { date: string | null; now?: boolean; wishes?: boolean }) {
  return (
    <App>
      <Plan date={date} first={{ now, wishes }} />
    </App>
  );
}

/** The term as a grid of meetings; each opens as a session. */
function Plan({ date, first }: { date: string | null; first: { readonly now: boolean; readonly wishes: boolean } }) {
  const client = useQueryClient();
  const tell = useTell();
  const term = useQuery({ queryKey: ['term'], queryFn: () => call('GET /term') });
  const games = useQuery({ queryKey: ['games'], queryFn: () => call('GET /games', { query: { limit: 5000, retired: 'true' } }) });
  const [planning, setPlanning] = useState<{ date: string; meeting: MeetingWire | null } | null>(null);
  const [setting, setSetting] = useState(false);
  const [running, setRunning] = useState<number | null>(null);
  const [job, setJob] = useState<string | null>(null);
  const [wishing, setWishing] = useState(first.wishes);
  const [now, setNow] = useState(first.now);
  const asked = useRef(date);
  const { kitchen, showAll } = useKitchen();
  const off = useMutation({
    mutationFn: (m: MeetingWire) =>
      call('PATCH /meetings/{id}', {
        params: { id: m.id },
        body: { version: m.version, ...(m.off ? { off: false } : { off: true, offBecause: 'holiday' }) },
      }),
    // What somebody else did meanwhile is shown, whether this was kept or not.
    onSettled: () => void client.invalidateQueries(),
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (term.error) return <Failure message={messageOf(term.error)} />;
  if (!term.data) return <Loading />;
  const t = term.data;
  if (asked.current && !planning) {
    const meeting = t.meetings.find((m) => m.date === asked.current) ?? null;
    const wanted = asked.current;
    asked.current = null;
    setPlanning({ date: wanted, meeting });
  }
  const title = (id: string): string => games.data?.items.find((g) => g.id === id)?.title ?? id;

  async function planTerm(): Promise<void> {
    setRunning(0);
    try {
      const begun = await call('POST /term/plan', { body: {} });
      setJob(begun.job);
      const { planned, of } = await follow('POST /term/plan', begun, setRunning);
      tell(planned < of ? `Stopped: ${planned} of ${of} meetings are planned and kept.` : `${planned} meetings are planned ahead.`);
      await client.invalidateQueries();
    } catch (error) {
      tell(messageOf(error), { bad: true });
      await client.invalidateQueries();
    } finally {
      setRunning(null);
      setJob(null);
    }
  }

  /** What is planned by then is kept. */
  async function stopTerm(id: string): Promise<void> {
    try {
      await call('POST /jobs/{id}/finish', { params: { id } });
    } catch (error) {
      tell(messageOf(error), { bad: true });
    }
  }

  const weeks = t.term ? weeksOf(t) : [];
  return (
    <>
      <div className={panel.head}>
        <h1>Plan</h1>
        {t.term && (
          <span className={panel.soft}>
            {t.term.title}, {spanWords(t.term.starts, t.term.ends)}
          </span>
        )}
        <span className={panel.spring} />
        {t.term && (
          <>
            <Button onClick={() => setSetting(true)}>When we meet</Button>
            <Button onClick={() => setWishing(true)}>How we plan</Button>
            <LinkButton href={addressOf('GET /term/sheet', { query: paperKept() })} download="term.pdf">
              On paper
            </LinkButton>
            <LinkButton href={link('/api/v1/term/calendar')} download="term.ics">
              Calendar file
            </LinkButton>
            {running === null ? (
              <Button onClick={() => void planTerm()}>Plan the weeks ahead</Button>
            ) : (
              <>
                <Progress share={running} label="planning" />
                <Button disabled={job === null} title="Keeps what is planned by then" onClick={() => void stopTerm(job!)}>
                  Stop
                </Button>
              </>
            )}
          </>
        )}
        {!t.term && (
          <Button kind="main" onClick={() => setNow(true)}>
            A session now
          </Button>
        )}
        {!kitchen && (
          <Button
            kind={t.term ? 'main' : undefined}
            onClick={() => setPlanning({ date: t.today, meeting: t.meetings.find((m) => m.date === t.today) ?? null })}
          >
            Plan a session
          </Button>
        )}
      </div>
      {!t.term && <Sessions />}
      {kitchen ? (
        <p className={`${panel.soft} ${panel.small}`}>
          Days, tables, helpers and a whole term are put away here.{' '}
          <Button kind="plain" onClick={showAll}>
            Show them
          </Button>
        </p>
      ) : !t.term ? (
        <Empty title="When do you meet?">
          <p>Say it once, and the term line above shows where you are. A single session can be planned without a term.</p>
          <Button onClick={() => setSetting(true)}>Set the term</Button>
        </Empty>
      ) : (
        <table className={styles.term}>
          <thead>
            <tr>
              <th scope="col">Week</th>
              <th scope="col" colSpan={Math.max(1, ...weeks.map((w) => w.meetings.length))}>
                Meetings
              </th>
            </tr>
          </thead>
          <tbody>
            {weeks.map((w) => (
              <tr key={w.week} data-now={w.now}>
                <th scope="row">
                  <b>{w.week}</b>
                  {w.ahead && w.meetings.some((m) => m.plan) && (
                    <a
                      className={styles.wallSheet}
                      href={addressOf('GET /term/sheet', { query: { week: w.week, ...paperKept() } })}
                      download={`week-${w.week}.pdf`}
                      aria-label={`Week ${w.week} on paper`}
                    >
                      on paper
                    </a>
                  )}
                </th>
                {w.meetings.map((m) => (
                  <td key={m.id} data-state={m.state} data-today={m.date === t.today}>
                    <div className={styles.meetingHead}>
                      <strong>{dayWords(m.date)}</strong>
                      <span>
                        {m.off
                          ? m.offBecause
                          : m.state === 'played'
                            ? 'played'
                            : m.plan
                              ? m.plan.status === 'infeasible'
                                ? 'no plan fits'
                                : m.plan.forecast
                                  ? 'forecast'
                                  : 'planned'
                              : m.state === 'missed'
                                ? 'nothing noted'
                                : ''}
                      </span>
                    </div>
                    {m.plan && m.plan.status !== 'infeasible' && <p className={styles.games}>{m.plan.games.map(title).join(', ')}</p>}
                    <div className={panel.row}>
                      {m.plan ? (
                        <a href={link(`/plan/${m.plan.id}`)}>open</a>
                      ) : (
                        !m.off && (
                          <Button kind="plain" onClick={() => setPlanning({ date: m.date, meeting: m })}>
                            plan
                          </Button>
                        )
                      )}
                      {m.state !== 'played' && (
                        <Button kind="plain" onClick={() => off.mutate(m)}>
                          {m.off ? 'we do meet' : 'no meeting'}
                        </Button>
                      )}
                      {m.plan && m.state === 'ahead' && isTight(m.plan) && (
                        <small className={panel.soft}>
                          within {(100 * (1 - m.plan.objective / m.plan.bound)).toFixed(1)} % of the best
                        </small>
                      )}
                    </div>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {t.term && (
        <p className={`${panel.soft} ${panel.small}`}>
          Forecasts carry everyone’s map forward by what would be practised. They are planned anew after each meeting; what you change by
          hand stays.
        </p>
      )}
      {planning && <SessionDialog date={planning.date} meeting={planning.meeting} onClose={() => setPlanning(null)} />}
      {now && <SessionNow onClose={() => setNow(false)} />}
      {wishing && <WishesDialog onClose={() => setWishing(false)} />}
      {setting && (
        <TermDialog
          term={t}
          onClose={() => setSetting(false)}
          onSaved={() => {
            setSetting(false);
            void client.invalidateQueries();
          }}
        />
      )}
    </>
  );
}

/** A bound further off says more about the bound than about the plan. */
const isTight = ({ objective, bound }: { readonly objective: number; readonly bound: number }): boolean =>
  bound > 0 && objective > 0 && 1 - objective / bound <= 0.05;

function weeksOf(t: TermWire): { week: number; now: boolean; ahead: boolean; meetings: MeetingWire[] }[] {
  const weekOf = (date: string): number => Math.floor(daysBetween(t.term!.starts, date) / 7) + 1;
  const weeks = [...new Set(t.meetings.map((m) => weekOf(m.date)))];
  return weeks.map((week) => {
    const now = weekOf(t.today);
    return { week, now: now === week, ahead: week >= now, meetings: t.meetings.filter((m) => weekOf(m.date) === week) };
  });
}
