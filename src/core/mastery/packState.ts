import { fieldSkillsOf, type MapState, emptyMap } from './mapState';
import type { SkillGraph } from '../skills/skillGraph';
import type { Memory } from './retention';

/** Raised when estimates of the same notes come out otherwise, so that what was kept is thrown away. */
export const ESTIMATOR = 3;

interface Packed {
  readonly skills: readonly (readonly [
    index: number,
    notes: number,
    lastSeen: string | null,
    missedAt: string | null,
    memory: Memory | null,
  ])[];
  readonly mean: readonly number[] | null;
  readonly age: number;
  readonly newest: string;
}

/**
 * A state in bytes, without the steps that tell how it came about: the length of the text, the text, and the
 * covariance as it stands (four bytes a pair, about 110 kB for 234 skills).
 */
export function packState(map: MapState): Uint8Array {
  const packed: Packed = {
    skills: map.skills.flatMap((s, k) => (s.lastSeen === null ? [] : [[k, s.notes, s.lastSeen, s.missedAt, s.memory] as const])),
    mean: map.field ? [...map.field.mean] : null,
    age: map.age,
    newest: map.newest,
  };
  const text = new TextEncoder().encode(JSON.stringify(packed));
  const pairs = map.field?.covariance ?? new Float32Array(0);
  const out = new Uint8Array(4 + text.length + pairs.byteLength);
  new DataView(out.buffer).setUint32(0, text.length);
  out.set(text, 4);
  out.set(new Uint8Array(pairs.buffer, pairs.byteOffset, pairs.byteLength), 4 + text.length);
  return out;
}

/** The state that was packed; estimates read off it are those of the state itself. */
export function unpackState(graph: SkillGraph, bytes: Uint8Array): MapState {
  const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
  const packed = JSON.parse(new TextDecoder().decode(bytes.subarray(4, 4 + length))) as Packed;
  const map = emptyMap(graph, false);
  for (const [k, notes, lastSeen, missedAt, memory] of packed.skills) Object.assign(map.skills[k]!, { notes, lastSeen, missedAt, memory });
  // A copy of its own: numbers of four bytes must begin at a multiple of four, and a buffer's slice shares its memory.
  const pairs = new Float32Array(new Uint8Array(bytes.subarray(4 + length)).buffer);
  const field = packed.mean ? { n: fieldSkillsOf(graph).length, mean: Float64Array.from(packed.mean), covariance: pairs } : null;
  return { ...map, field, age: packed.age ?? NaN, newest: packed.newest };
}
