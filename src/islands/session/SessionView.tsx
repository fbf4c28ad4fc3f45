import type { MissingSeatsWire, PlanWire } from '../../contract/wire/plan';
import { DndContext, type DragEndEvent, type DragOverEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { ApiError, call, link } from '../shared/api';
import { useLeaveGuard } from '../shared/useLeaveGuard';
import { App, messageOf, useTell } from '../shared/App';
import { sortOf } from '../../core/mechanisms/character';
import panel from '../shared/panel.module.css';
import { dayWords } from '../shared/words';
import { AimPrices } from './AimPrices';
import { Board } from './Board';
import { Clash } from './Clash';
import { Compare } from './Compare';
import { ForEverybody } from './ForEverybody';
import { draftOf, moveLearner, seatChanges } from './edit';
import { type Easing, Missing, type Wanted } from './Missing';
import { changesSentence, countIn, gamesSentence, planAgain, worthSentence } from './planAgain';
import styles from './session.module.css';
import { TodayWords } from './TodayWords';
import { TablePanel } from './TablePanel';
import { useDrafts } from './useDrafts';
import { WhatIf } from './WhatIf';

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
  const plan = useQuery({
    queryKey: ['plan', id],
    queryFn: () => call('GET /plans/{id}', { params: { id: id } }),
    refetchOnWindowFocus: false,
  });
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const variants = useQuery({ queryKey: ['variants'], queryFn: () => call('GET /variants', { query: { limit: 5000, retired: 'true' } }) });
  const games = useQuery({ queryKey: ['games', 'all'], queryFn: () => call('GET /games', { query: { limit: 5000, retired: 'true' } }) });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const [chosen, setChosen] = useState<{ round: number; table: number } | null>({ round: 0, table: 0 });
  const [failed, setFailed] = useState<MissingSeatsWire | null>(null);
  const [compared, setCompared] = useState<string | null>(null);
  const [clash, setClash] = useState<string | null>(null);
  const [grabbed, setGrabbed] = useState<{ round: number; learner: string } | null>(null);
  const [hovered, setHovered] = useState<{ round: number; table: number; learner: string } | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const stored = plan.data;
  const { draft, before, dirty, canUndo, canRedo, step, change } = useDrafts(stored);
  useLeaveGuard(dirty);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== 'Escape') return;
      setGrabbed(null);
      setHovered(null);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  const check = useQuery({
    queryKey: ['check', id, draft],
    queryFn: () => call('POST /plans/{id}/check', { params: { id: id }, body: { rounds: draft!.rounds, locks: draft!.locks } }),
    enabled: draft !== null && stored?.status !== 'infeasible' && (dirty || !stored?.playedAt),
    placeholderData: (old) => old,
  });
  const refused = (error: unknown): void => {
    if (error instanceof ApiError && error.problem.code === 'conflict') setClash(error.message);
    else tell(messageOf(error), { bad: true });
  };
  const save = useMutation({
    mutationFn: () => call('PUT /plans/{id}', { params: { id: id }, body: { ...draft!, version: stored!.version } }),
    onSuccess: ({ violations: broken }) => {
      void client.invalidateQueries();
      setFailed(null);
      tell(
        broken.length === 0
          ? 'The plan is saved.'
          : `Saved as you set it, though ${broken.length === 1 ? 'a rule is' : `${broken.length} rules are`} broken.`,
      );
    },
    onError: refused,
  });
  const replan = useMutation({
    mutationFn: async ({ easing, counted, fewChanges = false }: { easing: Easing; counted: Wanted; fewChanges?: boolean }) => {
      for (const { kind, by } of counted) await countIn(kind, by);
      let version = stored!.version;
      if (dirty) version = (await call('PUT /plans/{id}', { params: { id: id }, body: { ...draft!, version } })).version;
      return planAgain(id, {
        locks: draft!.locks,
        version,
        seed: stored!.request.seed + (fewChanges ? 0 : 1),
        ...(fewChanges ? { fewChanges } : {}),
        ...easing,
      });
    },
    onSuccess: (answer) => {
      void client.invalidateQueries();
      setFailed(answer.failed ?? null);
      if (answer.failed) return;
      const words = answer.changes ? changesSentence(answer.changes) : worthSentence(stored!.objective, answer.objective);
      if (seatChanges(draft!, draftOf(answer)).length === 0) tell(words);
      else setCompared(words);
    },
    onError: refused,
  });
  const nickname = useMemo(() => {
    const names = new Map(learners.data?.items.map((l) => [l.id, l.nickname]));
    return (l: string): string => names.get(l) ?? l;
  }, [learners.data]);
  const gameTitle = useMemo(() => {
    const titles = new Map(games.data?.items.map((g) => [g.id, g.title]));
    return (g: string): string => titles.get(g) ?? stored?.rounds.flatMap((r) => r.tables).find((t) => t.game === g)?.title ?? g;
  }, [games.data, stored]);
  if (plan.error) return <Failure message={messageOf(plan.error)} />;
  if (!stored || !draft || !variants.data || !learners.data) return <Loading what="Laying the tables …" />;
  const played = new Map(variants.data.items.map((v) => [v.id, v.mechanism]));
  const isPractice = (seats: readonly { readonly variant?: string }[]): boolean =>
    seats.length > 0 && seats.every((s) => sortOf(played.get(s.variant ?? '') ?? null) === 'practice');
  const p = stored;
  const asPlayed = p.playedAt !== null && !dirty;
  const violations = asPlayed ? [] : (check.data?.violations ?? []);
  const worth = dirty ? (check.data?.objective ?? p.objective) : p.objective;
  const changed = dirty || p.edited;
  const boundShown = p.bound > 0 && 1 - worth / p.bound <= boundShownWithin;

  function held(event: DragOverEvent): void {
    const from = event.active.data.current as { round: number; learner: string } | undefined;
    const to = event.over?.data.current as { round: number; table: number | 'rest' } | undefined;
    const there = from && to && from.round === to.round && to.table !== 'rest' ? draft!.rounds[to.round]!.tables[to.table] : undefined;
    const elsewhere = there && !there.seats.some((s) => s.learner === from!.learner);
    setHovered(elsewhere ? { round: to!.round, table: to!.table as number, learner: from!.learner } : null);
  }
  function dropped(event: DragEndEvent): void {
    setHovered(null);
    const from = event.active.data.current as { round: number; learner: string } | undefined;
    const to = event.over?.data.current as { round: number; table: number | 'rest' } | undefined;
    if (!from || !to || from.round !== to.round) return;
    put(from.round, from.learner, to.table);
  }
  function put(round: number, learner: string, table: number | 'rest'): void {
    const here = draft!.rounds[round]!.tables.findIndex((t) => t.seats.some((s) => s.learner === learner));
    setGrabbed(null);
    setHovered(null);
    // The button that was pressed goes; the child it was about stays under the fingers.
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-round="${round}"][data-learner="${learner}"]`)?.focus());
    if (here === table) return;
    change(moveLearner(draft!, round, learner, table));
    if (table !== 'rest') setChosen({ round, table });
  }

  /** Saves this draft over what somebody else saved meanwhile; theirs stays in the history of this page. */
  async function keepMine(): Promise<void> {
    setClash(null);
    try {
      const current = await call('GET /plans/{id}', { params: { id: id } });
      await call('PUT /plans/{id}', { params: { id: id }, body: { ...draft!, version: current.version } });
      await client.invalidateQueries();
      tell('Yours is kept.');
    } catch (error) {
      refused(error);
    }
  }
  return (
    <DndContext
      id="session"
      sensors={sensors}
      onDragOver={held}
      onDragEnd={dropped}
      onDragCancel={() => setHovered(null)}
      accessibility={{ screenReaderInstructions: { draggable: howToMove } }}
    >
      <div className={panel.head}>
        <h1>{dayWords(p.date)}</h1>
        <span>
          <b className={panel.num}>{p.request.present.length}</b> present, <b className={panel.num}>{p.request.helpers}</b>{' '}
          {p.request.helpers === 1 ? 'helper' : 'helpers'}
        </span>
        <span className={panel.spring} />
        <Button disabled={!canUndo} onClick={() => step(-1)}>
          Undo
        </Button>
        <Button disabled={!canRedo} onClick={() => step(1)}>
          Redo
        </Button>
        <LinkButton href={link(`/prep?plan=${id}`)}>Gather</LinkButton>
        {!dirty && p.rounds.length > 0 && <LinkButton href={link(`/play?plan=${id}`)}>Play</LinkButton>}
        <Button
          title="Keeps what is fixed, and every other seat where it can"
          disabled={replan.isPending || p.playedAt !== null}
          onClick={() => replan.mutate({ easing: {}, counted: [], fewChanges: true })}
        >
          Mend it
        </Button>
        <Button
          title="Keeps every table that is fixed"
          disabled={replan.isPending || p.playedAt !== null}
          onClick={() => replan.mutate({ easing: {}, counted: [] })}
        >
          {replan.isPending ? 'Working …' : 'Plan again'}
        </Button>
        <Button kind="main" disabled={!dirty || save.isPending || p.playedAt !== null} onClick={() => save.mutate()}>
          Save
        </Button>
      </div>
      {clash && (
        <Clash
          message={clash}
          onTheirs={() => {
            setClash(null);
            void client.invalidateQueries();
          }}
          onMine={() => void keepMine()}
          onLook={() => setClash(null)}
        />
      )}
      {failed && (
        <Missing
          title="Not planned again"
          lead="Fewer would find a seat than now, so the session stays as it was."
          plan={p}
          locks={draft.locks}
          missing={failed}
          resting={[]}
          busy={replan.isPending}
          onPlan={(easing, counted) => replan.mutate({ easing, counted })}
          onClose={() => setFailed(null)}
        />
      )}
      {compared && !dirty && before && (
        <Compare
          before={before}
          after={draft}
          words={compared}
          nickname={nickname}
          gameTitle={gameTitle}
          onBack={() => {
            setCompared(null);
            step(-1);
          }}
          onClose={() => setCompared(null)}
        />
      )}
      {!failed && !dirty && p.missing && (
        <Missing
          title={
            p.status === 'infeasible' ? 'No plan fits' : restless(p) ? 'Everybody plays, some as partners' : 'Not everybody has a seat'
          }
          lead={
            p.status === 'infeasible'
              ? 'Nobody can be seated under these rules.'
              : restless(p)
                ? 'Two play one seat in turns where there was none left; who shares goes round.'
                : 'This plan seats as many as were found to fit, two on one seat before anybody rests; rests go round where they can.'
          }
          plan={p}
          locks={draft.locks}
          missing={p.missing}
          resting={p.rounds.flatMap((r, i) => (r.resting.length > 0 ? [`Round ${i + 1}: ${r.resting.map(nickname).join(', ')}.`] : []))}
          busy={replan.isPending}
          onPlan={(easing, counted) => replan.mutate({ easing, counted })}
        />
      )}
      {p.status !== 'infeasible' && (
        <>
          <div className={violations.length > 0 ? styles.broken : styles.fine} role="status">
            {violations.length === 0
              ? asPlayed
                ? 'Played, as it stands here.'
                : check.isFetching
                  ? 'Checking …'
                  : 'Every rule is kept.'
              : violations.map((v, i) => <span key={i}>{v.message}</span>)}
            {(changed || boundShown) && (
              <span className={styles.bound} title="The plan’s own scoring, not a promise about learning">
                {changed ? `Changed by hand${boundShown ? '; ' : '.'}` : ''}
                {boundShown && (
                  <>
                    within {(Math.max(0, 1 - worth / p.bound) * 100).toFixed(1)} % of the best this plan’s scoring allows
                    {p.considered !== null && ` among the ${p.considered} ways to play it looked at closely`}
                  </>
                )}
              </span>
            )}
          </div>
          {!asPlayed && check.data && check.data.short.length > 0 && (
            <p className={panel.small}>
              A session for many: less than half of the best there would be for{' '}
              {check.data.short.map((l, i) => (
                <span key={l}>
                  {i > 0 && ', '}
                  <a href={link(`/learners/${l}`)}>{nickname(l)}</a>
                </span>
              ))}{' '}
              alone.
            </p>
          )}
          {!asPlayed && check.data && <p className={`${panel.soft} ${panel.small}`}>{gamesSentence(check.data.games)}</p>}
          {!asPlayed && !dirty && <AimPrices plan={p} />}
          {p.playedAt === null && p.request.present.length > 2 && (
            <ForEverybody
              plan={p}
              gameTitle={gameTitle}
              busy={replan.isPending}
              onAgain={(easing) => replan.mutate({ easing, counted: [], fewChanges: true })}
            />
          )}
          <div className={styles.columns}>
            <Board
              plan={p}
              draft={draft}
              variants={variants.data.items}
              kinds={kinds.data?.items ?? []}
              checked={check.data?.rounds ?? null}
              nickname={nickname}
              gameTitle={gameTitle}
              violations={violations}
              chosen={chosen}
              onChoose={setChosen}
              grabbed={grabbed}
              onGrab={(at) => {
                setGrabbed(at);
                setHovered(null);
              }}
              onPut={put}
              onHover={setHovered}
              onChange={change}
            />
            {hovered ? (
              <WhatIf plan={id} draft={draft} at={hovered} learner={hovered.learner} nickname={nickname} />
            ) : (
              chosen &&
              draft.rounds[chosen.round]?.tables[chosen.table] && (
                <TablePanel
                  plan={p}
                  draft={draft}
                  at={chosen}
                  nickname={nickname}
                  gameTitle={gameTitle}
                  practice={isPractice(draft.rounds[chosen.round]!.tables[chosen.table]!.seats)}
                  onChange={change}
                >
                  <TodayWords
                    plan={p}
                    table={draft.rounds[chosen.round]!.tables[chosen.table]!}
                    nickname={nickname}
                    gameTitle={gameTitle}
                    busy={replan.isPending}
                    onAgain={(easing) => replan.mutate({ easing, counted: [], fewChanges: true })}
                  />
                </TablePanel>
              )
            )}
          </div>
        </>
      )}
    </DndContext>
  );
}

/** Nobody rests who did not ask for it: whoever has no seat shares one. */
const restless = (p: PlanWire): boolean =>
  p.rounds.some((r) => r.tables.some((t) => t.seats.some((s) => s.with !== null))) && p.rounds.every((r) => r.meanwhile.length === 0);

/** A bound further off says more about the bound than about the plan. */
const boundShownWithin = 0.05;

const howToMove = 'Press Enter to pick the child up, then Tab to “put here” at a table and press Enter. Escape lets the child go.';
