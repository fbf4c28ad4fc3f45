import type { ReactNode } from 'react';
import type { PlanWire } from '../../contract/wire/plan';
import { useQuery } from '@tanstack/react-query';
import { Button } from '../../ui/Button';
import { call } from '../shared/api';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { useSupportTitle } from '../shared/useSupportTitle';
import { changeGame, changeVersion, type Draft, playedMost, seatGrownUp, shareSeat } from './edit';
import { AndThen } from '../shared/AndThen';
import { TurnForSeat } from './TurnForSeat';
import styles from './session.module.css';

/** Why these children sit here, what each will meet, and what could be played instead. */
export function TablePanel({
  plan,
  draft,
  at,
  nickname,
  gameTitle,
  practice,
  onChange,
  children,
}: {
  plan: PlanWire;
  draft: Draft;
  gameTitle: (id: string) => string;
  at: { round: number; table: number };
  nickname: (id: string) => string;
  /** What is played here is practice or an activity. */
  practice: boolean;
  onChange: (d: Draft) => void;
  /** What else can be said of this table. */
  children?: ReactNode;
}) {
  const skills = useSkills();
  const toolTitle = useSupportTitle();
  const table = draft.rounds[at.round]!.tables[at.table]!;
  const stored = plan.rounds[at.round]?.tables.find((t) => t.game === table.game);
  const learners = table.seats.map((s) => s.learner);
  const most = playedMost(table);
  const others = useQuery({
    queryKey: ['instead', plan.id, draft, at],
    queryFn: () => call('POST /plans/{id}/instead', { params: { id: plan.id }, body: { rounds: draft.rounds, locks: draft.locks, ...at } }),
    enabled: learners.length > 0,
  });
  const offers = others.data?.items ?? [];
  const breaking = others.data?.breaking ?? 0;
  return (
    <aside className={`${panel.sheet} ${styles.panel}`} aria-live="polite">
      <h2>
        {gameTitle(table.game)}, table {at.table + 1}, round {at.round + 1}
      </h2>
      {practice && <p className={panel.small}>Practice, not a game: it fills the seats, and nobody was promised it.</p>}
      {stored?.standIns.map((s) => (
        <p key={s.instead} className={panel.small}>
          <b>{s.instead}</b> {s.say}
        </p>
      ))}
      {stored && <AndThen plan={plan.id} version={plan.version} round={at.round} table={at.table} />}
      {stored?.helper && (
        <p className={panel.small}>
          {table.grownUp ? 'A grown-up plays along and is bound to this table.' : 'A helper is bound to this table.'}
        </p>
      )}
      {plan.request.helpers > 0 && (
        <label className={panel.small}>
          <input
            type="checkbox"
            checked={table.grownUp ?? false}
            onChange={(e) => onChange(seatGrownUp(draft, at.round, at.table, e.target.checked))}
          />{' '}
          a grown-up takes a seat here
        </label>
      )}
      <ul className={panel.list}>
        {table.seats.map((s) => {
          const seat = stored?.seats.find((x) => x.learner === s.learner);
          return (
            <li key={s.learner}>
              <b className={panel.num}>{nickname(s.learner)}</b>{' '}
              <span className={panel.soft}>
                {seat?.variantTitle}
                {seat?.tool ? `, with ${toolTitle(seat.tool)}` : ''}
              </span>
              {table.seats.length > 2 && (
                <label className={`${panel.soft} ${panel.small} ${styles.share}`}>
                  on one seat with{' '}
                  <select
                    aria-label={`${nickname(s.learner)} on one seat with`}
                    value={s.with ?? ''}
                    onChange={(e) => onChange(shareSeat(draft, at.round, at.table, s.learner, e.target.value || null))}
                  >
                    <option value="">nobody</option>
                    {table.seats
                      .filter((o) => o.learner !== s.learner && (o.with === undefined || o.with === s.learner))
                      .map((o) => (
                        <option key={o.learner} value={o.learner}>
                          {nickname(o.learner)}
                        </option>
                      ))}
                  </select>
                </label>
              )}
              <p className={styles.why}>{seat?.why ?? 'Placed by hand just now.'}</p>
              {s.variant && (
                <TurnForSeat
                  key={s.variant}
                  variant={s.variant}
                  who={[{ id: s.learner, nickname: nickname(s.learner) }]}
                  beside={[...new Set(table.seats.flatMap((o) => (o.learner !== s.learner && o.variant ? [o.variant] : [])))]}
                  onKept={(kept) => onChange(changeVersion(draft, at.round, at.table, [s.learner], kept))}
                />
              )}
              {seat && seat.doses.length > 0 && (
                <p className={`${panel.soft} ${panel.small}`}>
                  Meets about{' '}
                  {seat.doses
                    .slice(0, 3)
                    .map((d) => `${d.items} × ${skills?.title(d.skill).toLowerCase() ?? d.skill}`)
                    .join(', ')}{' '}
                  ({seat.doses[0]!.source === 'calculated' ? 'calculated from the rules' : 'owner’s word'}).
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {learners.length > 1 && most && (
        <TurnForSeat
          key={most}
          label="For the whole table:"
          variant={most}
          who={learners.map((id) => ({ id, nickname: nickname(id) }))}
          onKept={(kept) => onChange(changeVersion(draft, at.round, at.table, learners, kept))}
        />
      )}
      {children}
      <h3>Instead of this</h3>
      <ul className={panel.list}>
        {offers.map((o) => (
          <li key={o.game} className={styles.instead}>
            <span>
              <b className={panel.num}>{o.title}</b>
              <br />
              <small>
                {[...new Set(o.seats.map((s) => s.variantTitle))].join(', ')}. {o.reasons[0]}
              </small>
            </span>
            <Button onClick={() => onChange(changeGame(draft, at.round, at.table, o.game, o.seats))}>Swap</Button>
          </li>
        ))}
        {others.data && offers.length === 0 && (
          <li className={panel.soft}>
            {breaking === 0
              ? 'Nothing else on the shelf serves these children together.'
              : 'Nothing else serves these children together here without breaking a rule.'}
          </li>
        )}
      </ul>
      {breaking > 0 && (
        <p className={`${panel.soft} ${panel.small}`}>
          {breaking === 1 ? 'One other game' : `${breaking} other games`} would break a rule here: played twice, or too few things, tables
          or helpers in this round.
        </p>
      )}
    </aside>
  );
}
