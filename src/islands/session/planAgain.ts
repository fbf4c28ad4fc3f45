import type { LockWire, PlanWire } from '../../contract/wire/plan';
import { call, follow, isBegun } from '../shared/api';
import type { Easing } from './Missing';

/** What was changed, and what it costs that no more was. */
export function changesSentence({ seats, of, price }: NonNullable<PlanWire['changes']>): string {
  if (seats === 0) return 'Nothing had to change.';
  const many = seats === 1 ? 'One seat' : `${seats} seats`;
  const cost = price < 0.005 ? 'as good as planning it freely' : `${(price * 100).toFixed(0)} % under what planning it freely would give`;
  return `${many} of ${of} changed; by this plan’s scoring ${cost}.`;
}

/** What has to be fetched and explained. */
export function gamesSentence({ different, fresh }: { readonly different: number; readonly fresh: number }): string {
  const all = different === 1 ? 'One game' : `${different} different games`;
  if (fresh === 0) return `${all} to fetch; somebody here has played ${different === 1 ? 'it' : 'each of them'} before.`;
  return `${all} to fetch, ${fresh === different ? (fresh === 1 ? 'and it is' : 'all of them') : `${fresh} of them`} new to everybody here.`;
}

/** What planning again brought, by the plan's own scoring. */
export function worthSentence(before: number, after: number): string {
  const more = before > 0 ? after / before - 1 : 0;
  if (Math.abs(more) < 0.005) return 'By this plan’s scoring it is as good as before.';
  return `By this plan’s scoring it is ${Math.abs(more * 100).toFixed(0)} % ${more > 0 ? 'better' : 'less good'} than before.`;
}

/** Things that are there after all are counted with the others. */
export async function countIn(kind: string, by: number): Promise<void> {
  const now = (await call('GET /kinds', { query: { limit: 5000 } })).items.find((k) => k.id === kind);
  if (now) await call('PUT /kinds/{id}/stock', { params: { id: kind }, body: { quantity: now.quantity + by } });
}

/** Plans again; when it takes longer than one answer may wait, follows the work to its end. */
export async function planAgain(
  id: string,
  body: { locks: LockWire[]; version: number; seed: number; fewChanges?: boolean } & Easing,
): Promise<PlanWire> {
  const answer = await call('POST /plans/{id}/replan', { params: { id: id }, body });
  if (!isBegun(answer)) return answer;
  const done = await follow('POST /plans/{id}/replan', answer, () => undefined);
  const plan = await call('GET /plans/{id}', { params: { id: done.plan } });
  return { ...plan, ...(done.failed ? { failed: done.failed } : {}), ...(done.changes ? { changes: done.changes } : {}) };
}
