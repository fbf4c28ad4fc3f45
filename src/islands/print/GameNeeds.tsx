import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { GameWire } from '../../contract/wire/shelf';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import styles from './print.module.css';
import { marksFor, type MarkId, type NeededWire } from './printSettings';

/** A set for the list: whose version it is, with the mark and the words that tell it from others. */
export interface GameSet {
  readonly set: NeededWire;
  readonly of: string;
  readonly mark: MarkId;
  readonly label: string;
}
type Turned = Pick<NeededWire, 'sheet' | 'parameters' | 'copies'>;

/** What a version needs on paper: all of it, the same with smaller numbers, what is missing of it, or every version with a mark of its own. */
export function GameNeeds({
  variant,
  players,
  onVariant,
  onPlayers,
  shown,
  onShow,
  onTurn,
  onMissing,
  onAll,
  onKind,
}: {
  variant: string | null;
  players: number;
  onVariant: (id: string) => void;
  onPlayers: (n: number) => void;
  /** The sheet of this version that lies on the desk; null for none. */
  shown: string | null;
  onShow: (set: Turned) => void;
  onTurn: (set: Turned) => void;
  /** Opens a set to tick the pieces of it that are lost. */
  onMissing: (set: Turned) => void;
  onAll: (sets: readonly GameSet[]) => void;
  /** Opens a kind of sheet that no game asks for. */
  onKind: (sheet: string) => void;
}) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const [gathering, setGathering] = useState(false);
  const variants = useQuery({ queryKey: ['variants'], queryFn: () => call('GET /variants', { query: { limit: 5000 } }) });
  const games = useQuery({ queryKey: ['games'], queryFn: () => call('GET /games', { query: { limit: 5000 } }) });
  const playable = (variants.data?.items ?? []).filter((v) => v.mechanism !== null && !v.retired);
  const needs = useQuery({
    queryKey: ['sheets of', variant, players],
    queryFn: () => call('GET /variants/{id}/sheets', { params: { id: variant! }, query: { players } }),
    enabled: variant !== null,
  });
  const chosen = playable.find((v) => v.id === variant);
  const versions = playable.filter((v) => v.game === chosen?.game);
  const of = games.data?.items.find((g) => g.id === chosen?.game);
  const whole = useMutation({
    mutationFn: (g: GameWire) => call('PATCH /games/{id}', { params: { id: g.id }, body: { condition: '', version: g.version } }),
    onSuccess: async ({ change }, g) => {
      await client.invalidateQueries();
      tellUndo(`${g.title} is whole again.`, change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  // What is needed first lies on the desk as soon as it is known.
  const first = needs.data?.missing[0] ?? needs.data?.items[0];
  useEffect(() => {
    if (first && shown === null) onShow(first);
  }, [first]);
  const plain = (sets: readonly NeededWire[]): GameSet[] => sets.map((set) => ({ set, of: variant!, mark: 'none', label: '' }));
  /** Every version's cards, each with a shape of its own in an order that says nothing. */
  const everyVersion = async (): Promise<void> => {
    setGathering(true);
    try {
      const marks = marksFor(chosen!.game, versions.length);
      const sets = await Promise.all(
        versions.map(async (v, i) => {
          const { items } = await call('GET /variants/{id}/sheets', { params: { id: v.id }, query: { players } });
          return items.map((set): GameSet => ({ set, of: v.id, mark: marks[i]!, label: v.title.slice(0, 80) }));
        }),
      );
      onAll(sets.flat());
    } catch (e) {
      tell(messageOf(e), { bad: true });
    } finally {
      setGathering(false);
    }
  };
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
              {s.pieces > 1 && s.cuts > 0 && (
                <Button kind="plain" title="Tick what is lost; the very same pieces are printed again" onClick={() => onMissing(s)}>
                  Only what is missing
                </Button>
              )}
              {s.teaches && (
                <Button
                  kind="plain"
                  title="Numbered on the backs, so that the first turns show each rule once"
                  onClick={() => onTurn({ ...s, parameters: { ...s.parameters, teach: true } })}
                >
                  As a deck that teaches itself
                </Button>
              )}
            </li>
          ))}
        </ul>
        <Button onClick={() => onAll(plain(sets))}>Put on the list</Button>
      </div>
    );
  return (
    <>
      {variants.data && games.data && playable.length === 0 && (
        <p>
          No game on the shelf says yet how it plays, so nobody knows what it needs on paper.{' '}
          <LinkButton href={link('/shelf/library')}>Look through the library</LinkButton>
        </p>
      )}
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
                        {g.title}: {v.title}
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
      {of?.condition && (
        <div className={styles.after}>
          <p>
            The shelf says of {of.title}: <b>{of.condition}</b>.
          </p>
          <Button disabled={whole.isPending} onClick={() => whole.mutate(of)}>
            It is whole again
          </Button>
        </div>
      )}
      {needs.error && <p className={styles.wrong}>{messageOf(needs.error)}</p>}
      {needs.data && needs.data.items.length === 0 && needs.data.missing.length === 0 && needs.data.refused.length === 0 && (
        <p>
          Nothing of it is printed: it plays with what lies in the cupboard.{' '}
          <Button kind="plain" onClick={() => onKind('score-sheet')}>
            A score sheet for it
          </Button>
        </p>
      )}
      {needs.data?.refused.map((r) => (
        <p key={r.sheet} className={styles.wrong}>
          <b>{r.title}</b> cannot be printed with its numbers: {r.why}{' '}
          <Button kind="plain" onClick={() => onTurn(r)}>
            Turn its settings
          </Button>
        </p>
      ))}
      {needs.data && list('Missing cards only', needs.data.missing)}
      {needs.data && list('All it needs', needs.data.items)}
      {needs.data && needs.data.items.length > 0 && versions.length > 1 && (
        <p>
          <Button kind="plain" className={styles.startAligned} disabled={gathering} onClick={() => void everyVersion()}>
            {gathering ? 'Gathering …' : `A set for each of its ${versions.length} versions, each with its own shape`}
          </Button>
        </p>
      )}
      {needs.data && list('The same with smaller numbers', needs.data.smaller)}
    </>
  );
}
