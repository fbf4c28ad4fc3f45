import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { api, get, link, type Page } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { KindWire, LearnerWire, PlanWire, VariantWire } from '../shared/types';
import { dayWords } from '../shared/words';
import { Board } from './Board';
import { type Draft, draftOf, moveLearner, type Violation } from './edit';
import styles from './session.module.css';
import { TablePanel } from './TablePanel';

export default function SessionView({ id }: { id: string }) {
  return (
    <App>
      <Session id={id} />
    </App>
  );
}

/** One session: rounds across, tables down; drag a child, see at once what breaks. */
function Session({ id }: { id: string }) {
  const client = useQueryClient();
  const tell = useTell();
  const plan = useQuery({ queryKey: ['plan', id], queryFn: () => get<PlanWire>(`/plans/${id}`), refetchOnWindowFocus: false });
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => get<Page<LearnerWire>>('/learners?limit=5000') });
  const variants = useQuery({ queryKey: ['variants'], queryFn: () => get<Page<VariantWire>>('/variants?limit=5000&retired=true') });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => get<Page<KindWire>>('/kinds?limit=5000') });
  const [history, setHistory] = useState<Draft[]>([]);
  const [at, setAt] = useState(-1);
  const [chosen, setChosen] = useState<{ round: number; table: number } | null>({ round: 0, table: 0 });
  const [grabbed, setGrabbed] = useState<{ round: number; learner: string } | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  useEffect(() => {
    if (!plan.data) return;
    setHistory([draftOf(plan.data)]);
    setAt(0);
  }, [plan.data]);
  const draft = history[at] ?? null;
  const dirty = at > 0;
  const change = (next: Draft): void => {
    setHistory((h) => [...h.slice(0, at + 1), next]);
    setAt((n) => n + 1);
  };
  const check = useQuery({
    queryKey: ['check', id, draft],
    queryFn: () =>
      api<{
        violations: Violation[];
        objective: number;
        rounds: { tables: { game: string; seats: { learner: string; variant: string }[] }[] }[];
      }>('POST', `/plans/${id}/check`, { rounds: draft!.rounds, locks: draft!.locks }),
    enabled: draft !== null && plan.data?.status !== 'infeasible' && (dirty || !plan.data?.playedAt),
    placeholderData: (old) => old,
  });
  const save = useMutation({
    mutationFn: () => api('PUT', `/plans/${id}`, { ...draft!, version: plan.data!.version }),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['plan', id] });
      tell('The plan is saved.');
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const replan = useMutation({
    mutationFn: async () => {
      if (dirty) await api('PUT', `/plans/${id}`, { ...draft!, version: plan.data!.version });
      return api<PlanWire>('POST', `/plans/${id}/replan`, {
        locks: draft!.locks,
        version: plan.data!.version + (dirty ? 1 : 0),
        seed: plan.data!.request.seed + 1,
      });
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['plan', id] });
      tell('Planned again around what is fixed.');
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const nickname = useMemo(() => {
    const names = new Map(learners.data?.items.map((l) => [l.id, l.nickname]));
    return (l: string): string => names.get(l) ?? l;
  }, [learners.data]);
  if (plan.error) return <Failure message={messageOf(plan.error)} />;
  if (!plan.data || !draft || !variants.data || !learners.data) return <Loading what="Laying the tables …" />;
  const p = plan.data;
  const asPlayed = p.playedAt !== null && !dirty;
  const violations = asPlayed ? [] : (check.data?.violations ?? []);
  const worth = dirty ? (check.data?.objective ?? p.objective) : p.objective;

  function dropped(event: DragEndEvent): void {
    const from = event.active.data.current as { round: number; learner: string } | undefined;
    const to = event.over?.data.current as { round: number; table: number | 'rest' } | undefined;
    if (!from || !to || from.round !== to.round) return;
    put(from.round, from.learner, to.table);
  }
  function put(round: number, learner: string, table: number | 'rest'): void {
    const here = draft!.rounds[round]!.tables.findIndex((t) => t.seats.some((s) => s.learner === learner));
    setGrabbed(null);
    if (here === table) return;
    change(moveLearner(draft!, round, learner, table));
    if (table !== 'rest') setChosen({ round, table });
  }

  return (
    <DndContext id="session" sensors={sensors} onDragEnd={dropped}>
      <div className={panel.head}>
        <h1>{dayWords(p.date)}</h1>
        <span>
          <b className={panel.num}>{p.request.present.length}</b> present, <b className={panel.num}>{p.request.helpers}</b> helpers
        </span>
        <span className={panel.spring} />
        <Button disabled={at <= 0} onClick={() => setAt(at - 1)}>
          Undo
        </Button>
        <Button disabled={at >= history.length - 1} onClick={() => setAt(at + 1)}>
          Redo
        </Button>
        <LinkButton href={link(`/prep?plan=${id}`)}>Gather</LinkButton>
        <Button title="Keeps every table that is fixed" disabled={replan.isPending || p.playedAt !== null} onClick={() => replan.mutate()}>
          {replan.isPending ? 'Working …' : 'Plan again'}
        </Button>
        <Button kind="main" disabled={!dirty || save.isPending} onClick={() => save.mutate()}>
          Save
        </Button>
      </div>
      {p.status === 'infeasible' ? (
        <section className={styles.infeasible} role="alert">
          <h2>No plan fits</h2>
          <p>Not everyone finds a seat under these rules. What would help:</p>
          <ul>
            {p.relax?.map((r) => (
              <li key={r}>{r}</li>
            ))}
          </ul>
          <p>
            <a href={link(`/plan?date=${p.date}`)}>Change the session</a>
          </p>
        </section>
      ) : (
        <>
          <div className={violations.length > 0 ? styles.broken : styles.fine} role="status">
            {violations.length === 0
              ? asPlayed
                ? 'Played, as it stands here.'
                : check.isFetching
                  ? 'Checking …'
                  : 'Every rule is kept.'
              : violations.map((v, i) => <span key={i}>{v.message}</span>)}
            <span className={styles.bound} title="The plan’s own scoring, not a promise about learning">
              {dirty || p.edited ? 'Changed by hand; ' : ''}
              within {(Math.max(0, 1 - worth / (p.bound || 1)) * 100).toFixed(1)} % of the best this plan’s scoring allows
            </span>
          </div>
          <div className={styles.columns}>
            <Board
              plan={p}
              draft={draft}
              variants={variants.data.items}
              kinds={kinds.data?.items ?? []}
              checked={check.data?.rounds ?? null}
              nickname={nickname}
              violations={violations}
              chosen={chosen}
              onChoose={setChosen}
              grabbed={grabbed}
              onGrab={setGrabbed}
              onPut={put}
              onChange={change}
            />
            {chosen && draft.rounds[chosen.round]?.tables[chosen.table] && (
              <TablePanel plan={p} draft={draft} at={chosen} nickname={nickname} onChange={change} />
            )}
          </div>
        </>
      )}
    </DndContext>
  );
}
