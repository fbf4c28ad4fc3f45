import type { SkillGraph } from '../skills/skillGraph';
import { emptyMap, type MapState } from './mapState';
import type { Memory } from './retention';

/** Raised when estimates of the same notes come out otherwise, so that what was kept is thrown away. */
export const ESTIMATOR = 1;

interface Packed {
  readonly skills: readonly (readonly [id: string, known: number, notes: number, lastSeen: string, memory: Memory | null])[];
  readonly levels: { readonly byStrand: readonly number[][]; readonly all: number[] };
  readonly newest: string;
}

/** A state as text, without the steps that tell how it came about. */
export function packState(graph: SkillGraph, map: MapState): string {
  const packed: Packed = {
    skills: map.skills.flatMap((s, k) =>
      s.lastSeen === null ? [] : [[graph.skills[k]!.id, s.known, s.notes, s.lastSeen, s.memory] as const],
    ),
    levels: { byStrand: map.levels.byStrand.map((a) => [...a]), all: [...map.levels.all] },
    newest: map.newest,
  };
  return JSON.stringify(packed);
}

/** The state that was packed; estimates read off it are those of the state itself. */
export function unpackState(graph: SkillGraph, text: string): MapState {
  const packed = JSON.parse(text) as Packed;
  const map = emptyMap(graph);
  for (const [id, known, notes, lastSeen, memory] of packed.skills) {
    const s = map.skills[graph.indexOf.get(id)!]!;
    s.known = known;
    s.notes = notes;
    s.lastSeen = lastSeen;
    s.memory = memory;
  }
  packed.levels.byStrand.forEach((a, i) => map.levels.byStrand[i]!.set(a));
  map.levels.all.set(packed.levels.all);
  return { ...map, newest: packed.newest };
}
