import type { MechanismWire } from '../../contract/wire/families';
import { useQuery } from '@tanstack/react-query';
import { call } from '../shared/api';

/** All families, as the machine knows them. */
export function useMechanisms(): readonly MechanismWire[] | null {
  const { data } = useQuery({
    queryKey: ['mechanisms'],
    queryFn: () => call('GET /mechanisms', { query: { limit: 1000 } }),
    staleTime: Infinity,
  });
  return data?.items ?? null;
}
