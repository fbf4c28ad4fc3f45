import { link } from './api';
import type { PlanShort } from '../../contract/wire/plans';
import { dayWords, ofItsDay } from './words';

/** Another session for the same page. */
export function PlanPicker({ plans, chosen, path }: { plans: readonly PlanShort[]; chosen: PlanShort; path: string }) {
  if (plans.length < 2) return null;
  return (
    <select aria-label="Session" value={chosen.id} onChange={(e) => (location.href = link(`${path}?plan=${e.target.value}`))}>
      {plans.map((p) => (
        <option key={p.id} value={p.id}>
          {dayWords(p.date)}
          {ofItsDay(p, plans)}
          {p.playedAt ? ', played' : p.forecast ? ', forecast' : ''}
        </option>
      ))}
    </select>
  );
}
