import type { SkillWire, StrandWire } from '../../contract/wire/things';
import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { call } from './api';

export interface Skills {
  readonly list: readonly SkillWire[];
  readonly strands: readonly StrandWire[];
  readonly byId: ReadonlyMap<string, SkillWire>;
  readonly strandOf: (skill: string) => StrandWire | undefined;
  readonly title: (skill: string) => string;
}

export function useSkills(): Skills | null {
  const { data } = useQuery({ queryKey: ['skills'], queryFn: () => call('GET /skills', { query: { limit: 1000 } }), staleTime: Infinity });
  // The same answer gives the same maps, so that what is worked out of them is not worked out at every stroke.
  return useMemo(() => {
    if (!data) return null;
    const byId = new Map(data.items.map((s) => [s.id, s]));
    const strands = new Map(data.strands.map((s) => [s.id, s]));
    return {
      list: data.items,
      strands: data.strands,
      byId,
      strandOf: (id) => strands.get(byId.get(id)?.strand ?? ''),
      title: (id) => byId.get(id)?.title ?? id,
    };
  }, [data]);
}
