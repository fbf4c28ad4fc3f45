import type { VariantWire } from '../../contract/wire/shelf';
import { useQuery } from '@tanstack/react-query';
import { call } from '../shared/api';

/** How a version of the shelf is played, from its own numbers; asked for once a version. */
export const useHowTo = (variant: VariantWire) =>
  useQuery({
    queryKey: ['how-to', variant.id, variant.version],
    queryFn: () => call('GET /variants/{id}/how-to', { params: { id: variant.id } }),
  });
