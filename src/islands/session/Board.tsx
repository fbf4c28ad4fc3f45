import type { PlanWire } from '../../contract/wire/plan';
import type { ViolationWire } from '../../contract/wire/plans';
import type { VariantWire } from '../../contract/wire/shelf';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { Lock, LockOpen } from 'lucide-react';
import panel from '../shared/panel.module.css';
import { type Draft, type EditTable, markOf, tableLocked, toggleLock } from './edit';
import { ThingNeed } from '../things/ThingNeed';
import styles from './session.module.css';

interface BoardProps {
  plan: PlanWire;
  draft: Draft;
  variants: readonly VariantWire[];
  kinds: readonly KindWire[];
  /** Variants that the server chose for moved seats. */
  checked: readonly { tables: { game: string; seats: { learner: string; variant: string }[] }[] }[] | null;
  nickname: (id: string) => string;
  gameTitle: (id: string) => string;
  violations: readonly ViolationWire[];
  chosen: { round: number; table: number } | null;
  onChoose: (at: { round: number; table: number }) => void;
  grabbed: { round: number; learner: string } | null;
  onGrab: (at: { round: number; learner: string } | null) => void;
  onPut: (round: number, learner: string, table: number | 'rest') => void;
  /** A child that was picked up is held over a table. */
  onHover: (at: { round: number; table: number; learner: string } | null) => void;
  onChange: (draft: Draft) => void;
}

export function Board(props: BoardProps) {
  const { plan, draft } = props;
  const rows = Math.max(...draft.rounds.map((r) => r.tables.length));
  const title = props.gameTitle;
  return (
    <div className={styles.boardWrap}>
      <table className={styles.board}>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Table</span>
            </th>
            {draft.rounds.map((_, r) => (
              <th key={r} scope="col">
                Round {r + 1} <span>{plan.request.minutes} min</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: rows }, (_, t) => (
            <tr key={t}>
              <th scope="row">Table {t + 1}</th>
              {draft.rounds.map((round, r) => {
                const table = round.tables[t];
                return table ? (
                  <Cell key={r} {...props} round={r} index={t} table={table} title={title(table.game)} />
                ) : (
                  <td key={r} className={styles.none} />
                );
              })}
            </tr>
          ))}
          <tr>
            <th scope="row">Resting</th>
            {draft.rounds.map((round, r) => (
              <Rest key={r} {...props} round={r} learners={round.resting} />
            ))}
          </tr>
        </tbody>
      </table>
      <p className={`${panel.soft} ${panel.small}`}>
        Drag a child to another table. With the keyboard: choose a child (Enter), then “put here” at a table. The signs tell versions apart;
        they are no ranks.
      </p>
    </div>
  );
}

function Cell({
  plan,
  draft,
  variants,
  kinds,
  checked,
  nickname,
  violations,
  chosen,
  onChoose,
  grabbed,
  onGrab,
  onPut,
  onHover,
  onChange,
  round,
  index,
  table,
  title,
}: BoardProps & { round: number; index: number; table: EditTable; title: string }) {
  const { setNodeRef, isOver } = useDroppable({ id: `${round}|${index}`, data: { round, table: index } });
  const locked = tableLocked(draft, round, table);
  const isChosen = chosen?.round === round && chosen.table === index;
  const wrong = violations.some((v) => v.round === round && (v.game === table.game || table.seats.some((s) => s.learner === v.learner)));
  const own = variants.filter((v) => v.game === table.game);
  const chosenBy = new Map(checked?.[round]?.tables.find((t) => t.game === table.game)?.seats.map((s) => [s.learner, s.variant]));
  // As it was planned, with what stands in for what; a table set by hand by the rules of its versions.
  const planned = plan.rounds[round]?.tables.find((t) => t.game === table.game);
  const wanted = new Map(planned?.materials.map((m) => [m.kind, m.quantity]));
  for (const s of planned ? [] : table.seats)
    for (const m of own.find((v) => v.id === (s.variant ?? chosenBy.get(s.learner)))?.materials ?? [])
      wanted.set(m.kind, Math.max(wanted.get(m.kind) ?? 0, m.quantity));
  const short = new Set(
    violations.filter((v) => v.rule === 'stock' && v.round === round).length > 0
      ? [...wanted.keys()].filter(
          (k) =>
            inRound(k, draft, variants, round) > (kinds.find((x) => x.id === k)?.quantity ?? 0) &&
            !kinds.find((x) => x.id === k)?.plentiful,
        )
      : [],
  );
  return (
    <td
      ref={setNodeRef}
      className={styles.cell}
      data-over={isOver}
      data-chosen={isChosen}
      data-wrong={wrong}
      data-locked={locked}
      onClick={() => onChoose({ round, table: index })}
    >
      <div className={styles.cellHead}>
        <button type="button" className={styles.gameName} onClick={() => onChoose({ round, table: index })} aria-pressed={isChosen}>
          {title}
        </button>
        <button
          type="button"
          className={styles.lock}
          aria-pressed={locked}
          aria-label={locked ? `Let ${title} in round ${round + 1} go` : `Fix ${title} in round ${round + 1}`}
          onClick={(e) => {
            e.stopPropagation();
            onChange(toggleLock(draft, round, index));
          }}
        >
          {locked ? <Lock size={16} strokeWidth={2} /> : <LockOpen size={16} strokeWidth={1.6} />}
        </button>
      </div>
      <div className={styles.tokens}>
        {table.seats.map((s) => {
          const variant = s.variant ?? chosenBy.get(s.learner);
          const i = own.findIndex((v) => v.id === variant);
          return (
            <Token
              key={s.learner}
              round={round}
              learner={s.learner}
              name={nickname(s.learner)}
              mark={i >= 0 ? markOf(table.game, i) : '…'}
              version={own[i]?.title ?? ''}
              partner={s.with === undefined ? null : nickname(s.with)}
              grabbed={grabbed?.round === round && grabbed.learner === s.learner}
              onGrab={onGrab}
            />
          );
        })}
        {table.grownUp && <span className={styles.grownUp}>a grown-up</span>}
      </div>
      {grabbed && grabbed.round === round && !table.seats.some((s) => s.learner === grabbed.learner) && (
        <button
          type="button"
          className={styles.putHere}
          onFocus={() => onHover({ round, table: index, learner: grabbed.learner })}
          onMouseEnter={() => onHover({ round, table: index, learner: grabbed.learner })}
          onClick={() => onPut(round, grabbed.learner, index)}
        >
          put {nickname(grabbed.learner)} here
        </button>
      )}
      <div className={styles.materials}>
        {[...wanted].map(([k, q]) => {
          const kind = kinds.find((x) => x.id === k);
          const state = short.has(k) ? (kind?.quantity === 0 ? 'missing' : 'short') : kind?.state === 'unsure' ? 'unsure' : 'there';
          return <ThingNeed key={k} id={k} kind={kind} quantity={short.has(k) ? inRound(k, draft, variants, round) : q} state={state} />;
        })}
      </div>
    </td>
  );
}

/** How many of a kind all tables of a round need together. */
function inRound(kind: string, draft: Draft, variants: readonly VariantWire[], round: number): number {
  return draft.rounds[round]!.tables.reduce(
    (sum, t) =>
      sum +
      Math.max(
        0,
        ...t.seats.map(
          (s) =>
            (variants.find((v) => v.id === s.variant) ?? variants.find((v) => v.game === t.game))?.materials.find((m) => m.kind === kind)
              ?.quantity ?? 0,
        ),
      ),
    0,
  );
}

function Token({
  round,
  learner,
  name,
  mark,
  version,
  partner = null,
  grabbed,
  onGrab,
}: {
  round: number;
  learner: string;
  name: string;
  mark: string;
  version: string;
  /** Whose seat it is, where two share it. */
  partner?: string | null;
  grabbed: boolean;
  onGrab: (at: { round: number; learner: string } | null) => void;
}) {
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({
    id: `${round}|${learner}`,
    data: { round, learner },
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      className={styles.token}
      data-dragging={isDragging}
      data-learner={learner}
      data-round={round}
      aria-pressed={grabbed}
      data-partner={partner !== null}
      aria-label={partner === null ? `${name}, ${version}` : `${name}, partner of ${partner}, ${version}`}
      title={partner === null ? version : `${version}, on one seat with ${partner}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      onClick={(e) => {
        e.stopPropagation();
        onGrab(grabbed ? null : { round, learner });
      }}
    >
      <span>
        {partner !== null && <small>with {partner} </small>}
        {name}
      </span>
      <i aria-hidden="true">{mark}</i>
    </button>
  );
}

function Rest({ plan, nickname, grabbed, onGrab, onPut, round, learners }: BoardProps & { round: number; learners: readonly string[] }) {
  const { setNodeRef, isOver } = useDroppable({ id: `${round}|rest`, data: { round, table: 'rest' } });
  return (
    <td ref={setNodeRef} className={styles.rest} data-over={isOver}>
      <div className={styles.tokens}>
        {learners.map((l) => (
          <Token
            key={l}
            round={round}
            learner={l}
            name={nickname(l)}
            mark="–"
            version="resting"
            grabbed={grabbed?.round === round && grabbed.learner === l}
            onGrab={onGrab}
          />
        ))}
      </div>
      {plan.rounds[round]?.meanwhile
        .filter((m) => learners.includes(m.learner))
        .map((m) => (
          <p key={m.learner} className={`${panel.soft} ${panel.small}`}>
            {nickname(m.learner)} meanwhile: {m.text}
          </p>
        ))}
      {grabbed && grabbed.round === round && !learners.includes(grabbed.learner) && (
        <button type="button" className={styles.putHere} onClick={() => onPut(round, grabbed.learner, 'rest')}>
          let {nickname(grabbed.learner)} rest
        </button>
      )}
    </td>
  );
}
