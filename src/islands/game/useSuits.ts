import type { VariantWire } from '../../contract/wire/shelf';
import { useQuery } from '@tanstack/react-query';
import { call } from '../shared/api';

/** How a version would go for each learner today. */
export const useSuits = (variant: VariantWire) =>
  useQuery({
    queryKey: ['suits', variant.id, variant.version],
    queryFn: () => call('GET /variants/{id}/suits', { params: { id: variant.id } }),
  });
