import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './api';

/** Whether this is a kitchen table that has asked for nothing more, and how it asks. */
export function useKitchen(): { readonly kitchen: boolean; readonly showAll: () => void } {
  const client = useQueryClient();
  const term = useQuery({ queryKey: ['term'], queryFn: () => call('GET /term') });
  const ask = useMutation({
    mutationFn: () => call('PUT /door', { body: { door: null } }),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['term'] }),
  });
  return { kitchen: term.data?.door === 'kitchen' && term.data.term === null, showAll: () => ask.mutate() };
}
