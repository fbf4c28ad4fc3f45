import { useQuery } from '@tanstack/react-query';
import { get, type Page } from '../shared/api';
import type { ParameterField } from './ParameterInput';

export interface MechanismWire {
  readonly id: string;
  readonly title: string;
  readonly words: readonly string[];
  readonly earlyEnding: string;
  readonly told: readonly string[];
  readonly example: Readonly<Record<string, unknown>>;
  readonly seats: { readonly min: number; readonly max: number };
  readonly parametersSchema: { readonly properties: Readonly<Record<string, ParameterField>> };
}

/** All families, as the machine knows them. */
export function useMechanisms(): readonly MechanismWire[] | null {
  const { data } = useQuery({
    queryKey: ['mechanisms'],
    queryFn: () => get<Page<MechanismWire>>('/mechanisms?limit=1000'),
    staleTime: Infinity,
  });
  return data?.items ?? null;
}
