import type { VariantWire } from '../../contract/wire/shelf';
import { useQuery } from '@tanstack/react-query';
import { finished } from '../shared/api';

/** Luck or choice, turn order and how a game goes at a table of so many; asked once, read in several places. */
export const useFair = (variant: VariantWire, seats: number) =>
  useQuery({
    queryKey: ['fairness', variant.id, variant.version, seats],
    queryFn: () =>
      finished('POST /fairness', {
        query: { wait: 30 },
        body: { mechanism: variant.mechanism!, parameters: variant.parameters, seats, seed: 7 },
      }),
    enabled: seats > 1 && variant.mechanism !== null,
  });
