import type { MissingSeatsWire, PlanWire } from '../../contract/wire/plan';
import { Button } from '../../ui/Button';
import { LinkButton } from '../../ui/LinkButton';
import { link } from '../shared/api';
import panel from '../shared/panel.module.css';
import styles from './session.module.css';

/** What a session is planned again with, so that more find a seat. */
export interface Easing {
  readonly tables?: number;
  readonly helpers?: number;
  readonly preparationMinutes?: number;
  readonly timesEach?: number;
  readonly locks?: PlanWire['locks'];
  /** Who is there after all. */
  readonly present?: string[];
  readonly withoutGames?: string[];
  readonly grownUp?: boolean;
  readonly everybody?: PlanWire['request']['everybody'];
}

/** Things that would have to be there, kind by kind. */
export type Wanted = readonly { readonly kind: string; readonly by: number }[];

/** What the steps of an answer change in the session; things to be had are not for the session to change. */
export function easingOf(plan: PlanWire, locks: PlanWire['locks'], steps: MissingSeatsWire['steps']): Easing {
  const by = (relax: string): number => steps.filter((s) => s.relax === relax).reduce((sum, s) => sum + (s.by ?? 1), 0);
  const gone = steps.flatMap((s) => (s.lock ? [s.lock] : []));
  const { tables, helpers, preparationMinutes } = plan.request;
  return {
    ...(by('tables') > 0 ? { tables: tables + by('tables') } : {}),
    ...(by('helpers') > 0 ? { helpers: helpers + by('helpers') } : {}),
    ...(by('preparation') > 0 ? { preparationMinutes: Math.ceil((preparationMinutes ?? usualPreparation) + by('preparation')) } : {}),
    ...(by('repeats') > 0 ? { timesEach: 2 } : {}),
    ...(gone.length > 0
      ? { locks: locks.filter((k) => !gone.some((x) => x.learner === k.learner && x.round === k.round && x.game === k.game)) }
      : {}),
  };
}
const usualPreparation = 120;

/** Who has no seat and what would bring one, each with what does it. */
export function Missing({
  title,
  lead,
  plan,
  locks,
  missing,
  resting,
  busy,
  onPlan,
  onClose,
}: {
  title: string;
  lead: string;
  plan: PlanWire;
  locks: PlanWire['locks'];
  missing: MissingSeatsWire;
  /** Who rests, by round, in words; nothing where nobody sits at all. */
  resting: readonly string[];
  busy: boolean;
  /** Plans again, with things counted in first that are there after all. */
  onPlan: (easing: Easing, counted: Wanted) => void;
  onClose?: () => void;
}) {
  const { steps, unseatedAfter } = missing;
  const easing = easingOf(plan, locks, steps);
  const things = steps.flatMap((s) => (s.kind ? [{ kind: s.kind, by: s.by ?? 1 }] : []));
  const wishes = steps.some((s) => s.relax === 'lively' || s.relax === 'apart');
  const canDo = steps.length > 0 && !wishes;
  return (
    <section className={styles.infeasible} role="alert">
      <h2>{title}</h2>
      <p>{lead}</p>
      {resting.length > 0 && (
        <ul>
          {resting.map((r) => (
            <li key={r}>{r}</li>
          ))}
        </ul>
      )}
      {missing.unknown > missing.games / 2 && (
        <p>
          Of {missing.games} games here {missing.unknown} cannot be planned yet: nobody has said how they are played.{' '}
          <LinkButton kind="main" href={link('/shelf/recognise')}>
            How is each played?
          </LinkButton>
        </p>
      )}
      {steps.length > 0 ? (
        <>
          <p>{hope(steps.length, unseatedAfter)}</p>
          <ul>
            {steps.map((s, i) => (
              <li key={i}>{s.text}</li>
            ))}
          </ul>
        </>
      ) : (
        <p>There are not enough games on the shelf that suit these children in so many rounds.</p>
      )}
      <div className={panel.row}>
        {canDo && (
          <Button kind="main" disabled={busy} onClick={() => onPlan(easing, things)}>
            {busy
              ? 'Working …'
              : things.length > 0
                ? 'They are here after all: count them in and plan'
                : steps.length === 1
                  ? 'Plan it so'
                  : 'Do all of it and plan again'}
          </Button>
        )}
        {wishes && (
          <LinkButton kind="main" href={link('/plan?wishes')}>
            How we plan
          </LinkButton>
        )}
        {steps.length === 0 && <LinkButton href={link('/shelf/library')}>Take games from the library</LinkButton>}
        <LinkButton href={link(`/plan?date=${plan.date}`)}>Change the session</LinkButton>
        {onClose && <Button onClick={onClose}>Close</Button>}
      </div>
    </section>
  );
}

function hope(steps: number, unseatedAfter: number): string {
  const what = steps === 1 ? 'This alone would' : 'These together would';
  return unseatedAfter === 0 ? `${what} give everybody a seat of their own:` : `${what} help most, though not everybody would find one:`;
}
