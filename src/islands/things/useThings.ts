import type { KindWire } from '../../contract/wire/thingsOwned';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import { useTellUndo } from '../shared/useTellUndo';

export type Told = { readonly quantity?: number; readonly told?: 'number' | 'plenty' | 'unsure' };

/** So many are here; what is lent is ours beside them. */
export const hereAre = (kind: Pick<KindWire, 'loans'>, count: number): Told => ({
  quantity: count + kind.loans.reduce((sum, l) => sum + l.quantity, 0),
});

const key = ['kinds'];

export const useKinds = () => useQuery({ queryKey: key, queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });

/** The thing as it will be once it is told, so that a tap shows at once. */
function asTold(k: KindWire, { quantity, told = 'number' }: Told): KindWire {
  const owned = quantity ?? k.owned;
  const here = Math.max(0, owned - k.loans.reduce((sum, l) => sum + l.quantity, 0));
  const state = told === 'number' ? (here > 0 ? 'number' : 'none') : told;
  return { ...k, owned, quantity: here, state, plentiful: state === 'plenty' || state === 'unsure' };
}

/** Says how many there are; shown at once, taken back where it did not take. */
export function useTellStock() {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  return useMutation({
    mutationFn: ({ kind, said }: { kind: KindWire; said: Told }) => call('PUT /kinds/{id}/stock', { params: { id: kind.id }, body: said }),
    onMutate: async ({ kind, said }) => {
      await client.cancelQueries({ queryKey: key });
      const before = client.getQueryData<{ items: KindWire[]; total: number }>(key);
      if (before) client.setQueryData(key, { ...before, items: before.items.map((k) => (k.id === kind.id ? asTold(k, said) : k)) });
      return { before };
    },
    onError: (error, _, context) => {
      if (context?.before) client.setQueryData(key, context.before);
      tell(messageOf(error), { bad: true });
    },
    onSuccess: ({ change }, { kind, said }) => {
      const now = asTold(kind, said);
      tellUndo(`${kind.title}: ${stateWords(now)}.`, change);
    },
    onSettled: () => void client.invalidateQueries(),
  });
}

/** How many there are, in words. */
export function stateWords({ state, quantity, unit }: Pick<KindWire, 'state' | 'quantity' | 'unit'>): string {
  if (state === 'number') return `${quantity} ${unitWords(unit, quantity)}`;
  return state === 'unsure' ? 'not sure' : state;
}

/** One die, two dice: the few that are not made by an s. */
const odd: Readonly<Record<string, string>> = { die: 'dice' };
export const unitWords = (unit: string, count: number): string => (count === 1 ? unit : (odd[unit] ?? `${unit}s`));
