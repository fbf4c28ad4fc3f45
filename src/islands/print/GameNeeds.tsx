import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import styles from './print.module.css';
import type { NeededWire } from './printSettings';

/** What a version needs on paper: all of it, the same with smaller numbers, or what is missing of it. */
export function GameNeeds({
  variant,
  players,
  onVariant,
  onPlayers,
  shown,
  onShow,
  onTurn,
  onAll,
}: {
  variant: string | null;
  players: number;
  onVariant: (id: string) => void;
  onPlayers: (n: number) => void;
  /** The sheet of this version that lies on the desk; null for none. */
  shown: string | null;
  onShow: (set: NeededWire) => void;
  onTurn: (set: NeededWire) => void;
  onAll: (sets: readonly NeededWire[]) => void;
}) {
  const variants = useQuery({ queryKey: ['variants'], queryFn: () => call('GET /variants', { query: { limit: 5000 } }) });
  const games = useQuery({ queryKey: ['games'], queryFn: () => call('GET /games', { query: { limit: 5000 } }) });
  const playable = (variants.data?.items ?? []).filter((v) => v.mechanism !== null && !v.retired);
  const needs = useQuery({
    queryKey: ['sheets of', variant, players],
    queryFn: () => call('GET /variants/{id}/sheets', { params: { id: variant! }, query: { players } }),
    enabled: variant !== null,
  });
  // What is needed first lies on the desk as soon as it is known.
  const first = needs.data?.missing[0] ?? needs.data?.items[0];
  useEffect(() => {
    if (first && shown === null) onShow(first);
  }, [first]);
  const list = (title: string, sets: readonly NeededWire[]) =>
    sets.length > 0 && (
      <div className={styles.need}>
        <h3>{title}</h3>
        <ul className={panel.list}>
          {sets.map((s, i) => (
            <li key={`${s.sheet} ${i}`} className={styles.needRow}>
              <span>
                <b>{s.title}</b>
                <small>
                  {s.sheets} {s.sheets === 1 ? 'sheet' : 'sheets'}, {s.cuts} cuts, about {Math.round(s.minutes)} min
                </small>
              </span>
              <Button kind="plain" onClick={() => onShow(s)}>
                Show
              </Button>
              <Button kind="plain" onClick={() => onTurn(s)}>
                Turn its settings
              </Button>
            </li>
          ))}
        </ul>
        <Button onClick={() => onAll(sets)}>Put on the list</Button>
      </div>
    );
  return (
    <>
      <Field label="Game and version">
        {(p) => (
          <select {...p} value={variant ?? ''} onChange={(e) => onVariant(e.target.value)}>
            <option value="">choose …</option>
            {(games.data?.items ?? [])
              .filter((g) => playable.some((v) => v.game === g.id))
              .map((g) => (
                <optgroup key={g.id} label={g.title}>
                  {playable
                    .filter((v) => v.game === g.id)
                    .map((v) => (
                      <option key={v.id} value={v.id}>
                        {v.title}
                      </option>
                    ))}
                </optgroup>
              ))}
          </select>
        )}
      </Field>
      <Field label="Children at the table">
        {(p) => (
          <input
            {...p}
            type="number"
            min={1}
            max={12}
            value={players}
            onChange={(e) => onPlayers(Math.min(12, Math.max(1, Number(e.target.value))))}
          />
        )}
      </Field>
      {needs.error && <p className={styles.wrong}>{messageOf(needs.error)}</p>}
      {needs.data && needs.data.items.length === 0 && needs.data.missing.length === 0 && needs.data.refused.length === 0 && (
        <p>
          Nothing of it is printed: it plays with what lies in the cupboard. The first page of <b>One kind</b> has score sheets and mats.
        </p>
      )}
      {needs.data?.refused.map((r) => (
        <p key={r.sheet} className={styles.wrong}>
          <b>{r.title}</b> cannot be printed with its numbers: {r.why}
        </p>
      ))}
      {needs.data && list('Missing cards only', needs.data.missing)}
      {needs.data && list('All it needs', needs.data.items)}
      {needs.data && list('The same with smaller numbers', needs.data.smaller)}
    </>
  );
}
