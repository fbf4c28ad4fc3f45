import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PlanBWire } from '../../contract/wire/plans';
import { percent } from '../../text/sentences';
import { Button } from '../../ui/Button';
import { Failure, Progress } from '../../ui/Empty';
import { call, finished, link } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { dayWords } from '../shared/words';
import styles from './prep.module.css';

/** What is other about a session when something goes wrong. */
interface Trouble {
  readonly without?: readonly string[];
  readonly withoutGame?: string;
  readonly rounds?: number;
  readonly minutes?: number;
}

/** What an absence costs the others, in both things it is ranked by. */
function costWords({ lost, changes }: PlanBWire['away'][number]): string {
  const seats = changes > 0 ? `${changes} ${changes === 1 ? 'seat changes' : 'seats change'}` : '';
  if (lost <= 0.005) return seats && `${seats}; the others lose next to nothing of what the plan is worth.`;
  return `The others lose ${percent(lost)} of what the plan is worth${seats && `; ${seats}`}.`;
}

/** What to do when somebody is away, a game is not complete or time is short; and to do it. */
export function PlanB({ plan: id }: { plan: string }) {
  const tell = useTell();
  const [share, setShare] = useState(0);
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const plan = useQuery({ queryKey: ['plan', id], queryFn: () => call('GET /plans/{id}', { params: { id } }) });
  const version = plan.data?.version;
  const found = useQuery({
    queryKey: ['plan-b', id, version],
    queryFn: ({ signal }) => finished('POST /plans/{id}/plan-b', { params: { id }, query: { wait: 0.5 } }, setShare, signal),
    enabled: version !== undefined,
    staleTime: Infinity,
    retry: false,
  });
  const mend = useMutation({
    mutationFn: ({ without = [], withoutGame, rounds, minutes }: Trouble) => {
      const { request } = plan.data!;
      return finished('POST /plans/{id}/replan', {
        params: { id },
        body: {
          version: version!,
          planB: true,
          present: request.present.filter((l) => !without.includes(l)),
          ...(withoutGame ? { withoutGames: [...(request.withoutGames ?? []), withoutGame] } : {}),
          ...(rounds ? { rounds } : {}),
          ...(minutes ? { minutes } : {}),
        },
      });
    },
    onSuccess: () => void (location.href = link(`/plan/${id}`)),
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const nickname = (l: string): string => learners.data?.items.find((x) => x.id === l)?.nickname ?? l;
  if (plan.error || found.error)
    return (
      <>
        <Failure message={messageOf(plan.error ?? found.error)} />
        <Button onClick={() => void (plan.error ? plan : found).refetch()}>Work it out again</Button>
      </>
    );
  if (!found.data) return <Progress share={share} label="Working out plan B" />;
  const b = found.data;
  const card = (title: string, note: string, answer: Pick<PlanBWire['away'][number], 'say' | 'unseated'>, trouble: Trouble) => (
    <li key={title}>
      <h3>{title}</h3>
      {note && <p className={panel.soft}>{note}</p>}
      <ul className={styles.plain}>
        {answer.say.map((s) => (
          <li key={s.text}>{s.text}</li>
        ))}
      </ul>
      <Button disabled={mend.isPending} onClick={() => mend.mutate(trouble)} aria-label={`Plan it so: ${title}`}>
        {mend.isPending ? 'Planning …' : 'Plan it so'}
      </Button>
    </li>
  );
  return (
    <section className={`${panel.sheet} ${styles.planB}`} aria-label="Plan B">
      <h2>Plan B</h2>
      <p className={panel.soft}>
        What changes when something goes wrong, with as few seats moved as can be; calculated on {dayWords(b.madeOn)} from the plan as it
        stands. Who is missed most stands first, by what the others lose and by the seats that change. It is printed on the back of the
        plan.
      </p>
      <div className={styles.troubles}>
        <div>
          <h3 className={styles.sort}>Somebody is away</h3>
          <ul className={styles.plain}>
            {b.away.map((a) => card(a.learners.map(nickname).join(' and '), costWords(a), a, { without: a.learners }))}
          </ul>
          {b.away.length === 0 && <p className={panel.soft}>One child alone is the session.</p>}
        </div>
        <div>
          <h3 className={styles.sort}>Something of a game is missing</h3>
          <ul className={styles.plain}>
            {b.without.map((w) => card(w.title, `round ${w.rounds.map((r) => r + 1).join(', ')}`, w, { withoutGame: w.game }))}
          </ul>
        </div>
        <div>
          <h3 className={styles.sort}>Ten minutes fewer</h3>
          {b.shorter ? (
            <ul className={styles.plain}>
              {card(`${b.shorter.count} ${b.shorter.count === 1 ? 'round' : 'rounds'} of ${b.shorter.minutes} minutes`, '', b.shorter, {
                rounds: b.shorter.count,
                minutes: b.shorter.minutes,
              })}
            </ul>
          ) : (
            <p className={panel.soft}>No round would be long enough to explain, play and tidy up. Play one game together instead.</p>
          )}
        </div>
      </div>
    </section>
  );
}
