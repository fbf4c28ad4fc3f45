import { useQuery } from '@tanstack/react-query';
import { helpWords } from '../../text/sentences';
import { call } from './api';

/** What people call a support: a way of helping, or a thing in the cupboard. */
export function useSupportTitle(): (id: string) => string {
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }), staleTime: Infinity });
  return (id) => helpWords[id] ?? kinds.data?.items.find((k) => k.id === id)?.title.toLowerCase() ?? id.replaceAll('-', ' ');
}
