import type { PlanShort } from '../../contract/wire/plans';
import { useQuery } from '@tanstack/react-query';
import { call } from './api';
import { pageToday } from './words';

/** The session a page is about: the one asked for, else today's, else the nearest in the wanted direction. */
export function usePlanChoice(
  asked: string | null,
  wanted: 'ahead' | 'behind',
): { plans: PlanShort[]; chosen: PlanShort | null; loading: boolean; error: unknown } {
  const { data, isLoading, error } = useQuery({ queryKey: ['plans'], queryFn: () => call('GET /plans', { query: { limit: 1000 } }) });
  const all = (data?.items ?? []).filter((p) => p.status !== 'infeasible');
  const today = pageToday();
  const ahead = all.filter((p) => p.date >= today).sort((x, y) => (x.date < y.date ? -1 : 1));
  const behind = all.filter((p) => p.date <= today && (wanted === 'ahead' || p.playedAt)).sort((x, y) => (x.date < y.date ? 1 : -1));
  const chosen = all.find((p) => p.id === asked) ?? (wanted === 'ahead' ? (ahead[0] ?? behind[0]) : (behind[0] ?? null)) ?? null;
  return { plans: all.sort((x, y) => (x.date < y.date ? 1 : -1)), chosen, loading: isLoading, error };
}
