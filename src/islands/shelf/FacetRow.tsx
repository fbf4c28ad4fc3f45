import type { KindWire } from '../../contract/wire/thingsOwned';
import { sortOf } from '../../core/mechanisms/character';
import type { Row } from './rowsOf';
import styles from './shelf.module.css';

/** What a line of the shelf must be, beside what is searched for; null asks for nothing. */
export interface Facets {
  readonly age: number | null;
  readonly players: number | null;
  readonly minutes: number | null;
  readonly alone: boolean;
  readonly calm: boolean;
  readonly atHand: boolean;
  /** No practice that fills a seat without being a game. */
  readonly games: boolean;
  readonly tag: string | null;
}

export const noFacets: Facets = {
  age: null,
  players: null,
  minutes: null,
  alone: false,
  calm: false,
  atHand: false,
  games: false,
  tag: null,
};

/** Whether a line is what is asked for; a game without a version is only where nothing is asked. */
export function passes({ game, variant: v, profile }: Row, f: Facets, kinds: readonly KindWire[]): boolean {
  if (f.tag !== null && !game.tags.includes(f.tag)) return false;
  if (JSON.stringify({ ...f, tag: null }) === JSON.stringify(noFacets)) return true;
  if (!v) return false;
  if (f.age !== null && (f.age < v.ages[0] || f.age > v.ages[1])) return false;
  if (f.players !== null && (f.players < v.players.min || f.players > v.players.max)) return false;
  if (f.minutes !== null && (profile?.minutes ?? v.minutes) > f.minutes) return false;
  if (f.alone && v.helper !== 'alone') return false;
  if (f.calm && v.room !== 'calm') return false;
  if (f.games && sortOf(v.mechanism) === 'practice') return false;
  return (
    !f.atHand ||
    v.materials.every(
      (m) =>
        v.standIns.some((s) => s.instead === m.kind) ||
        isThere(
          kinds.find((k) => k.id === m.kind),
          m.quantity,
        ),
    )
  );
}

/** A thing nobody counted is used as if it were there. */
const isThere = (kind: KindWire | undefined, quantity: number): boolean =>
  kind !== undefined && (kind.state === 'plenty' || kind.state === 'unsure' || (kind.state === 'number' && kind.quantity >= quantity));

const numbers = { age: [4, 5, 6, 7, 8, 9, 10, 11, 12], players: [1, 2, 3, 4, 5, 6, 8, 12], minutes: [5, 10, 15, 20, 30] } as const;
const words = {
  // Grades as most schools count them: kindergarten at five (common practice, no source).
  age: (n: number) => `${n} years${n < 5 ? '' : n === 5 ? ', kindergarten' : `, grade ${n - 5}`}`,
  players: (n: number) => `${n} ${n === 1 ? 'player' : 'players'}`,
  minutes: (n: number) => `up to ${n} minutes`,
};
const any = { age: 'any age', players: 'any number', minutes: 'any length' } as const;
const ticks = { alone: 'runs alone', calm: 'quiet', atHand: 'things at hand', games: 'no practice' } as const;

/** What else a game must be: for an age, for so many, within so long, alone, calm, with what is here. */
export function FacetRow({ facets, tags, onChange }: { facets: Facets; tags: readonly string[]; onChange: (facets: Facets) => void }) {
  const asked = JSON.stringify(facets) !== JSON.stringify(noFacets);
  return (
    <div className={styles.facets} role="group" aria-label="Only games that are">
      {(Object.keys(numbers) as (keyof typeof numbers)[]).map((name) => (
        <select
          key={name}
          aria-label={name}
          value={facets[name] ?? ''}
          onChange={(e) => onChange({ ...facets, [name]: e.target.value === '' ? null : Number(e.target.value) })}
        >
          <option value="">{any[name]}</option>
          {numbers[name].map((n) => (
            <option key={n} value={n}>
              {words[name](n)}
            </option>
          ))}
        </select>
      ))}
      {tags.length > 0 && (
        <select aria-label="tag" value={facets.tag ?? ''} onChange={(e) => onChange({ ...facets, tag: e.target.value || null })}>
          <option value="">any unit or season</option>
          {tags.map((t) => (
            <option key={t}>{t}</option>
          ))}
        </select>
      )}
      {(Object.keys(ticks) as (keyof typeof ticks)[]).map((name) => (
        <label key={name}>
          <input type="checkbox" checked={facets[name]} onChange={(e) => onChange({ ...facets, [name]: e.target.checked })} /> {ticks[name]}
        </label>
      ))}
      {asked && (
        <button type="button" className={styles.chip} onClick={() => onChange(noFacets)}>
          show all ×
        </button>
      )}
    </div>
  );
}
