import type { VariantWire } from '../../contract/wire/shelf';
import { call } from '../shared/api';
import type { WriteKey } from '../shared/useWriteKey';

/** One number or choice of a version turned, and how long that was measured to take. */
export interface Turn {
  readonly parameter: string;
  readonly parameterTitle: string;
  readonly value: unknown;
  readonly minutes: { readonly mean: number };
}

/** A setting in words. */
export const settingWords = (value: unknown): string =>
  value === true
    ? 'yes'
    : value === false
      ? 'no'
      : Array.isArray(value)
        ? value.join(', ')
        : String(value).replace(/(?<=[a-z])-(?=[a-z])/g, ' ');

/** A version with one thing turned, as a version of its own; a child's name is nobody's business on a box. */
export const turnedVersion = (v: VariantWire, t: Turn) => ({
  game: v.game,
  title: `${v.title}, ${t.parameterTitle.toLowerCase()} ${settingWords(t.value)}`.slice(0, 80),
  mechanism: v.mechanism,
  parameters: { ...v.parameters, [t.parameter]: t.value },
  ages: v.ages,
  players: v.players,
  minutes: Math.max(1, Math.round(t.minutes.mean)),
  helper: v.helper,
  room: v.room,
  preparationMinutes: v.preparationMinutes,
  materials: v.materials,
});

/** Keeps it; answers the id of the new version. */
export const keepTurned = async (v: VariantWire, t: Turn, key?: WriteKey): Promise<string> =>
  (await call('POST /variants', { body: turnedVersion(v, t), ...(key ? { key } : {}) })).id;
