import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { Button } from '../../ui/Button';
import { Light } from '../../ui/Light';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import { hereAre } from './useThings';
import styles from './things.module.css';

/** A thing that a game needs, and how many of it. */
export interface Needed {
  readonly kind: KindWire;
  readonly quantity: number;
}

type Said = 'have' | 'none' | 'unsure';
const answers = { have: 'we have it', none: 'we have none', unsure: 'not sure' } as const;

/** Things of a game that nobody has said anything about yet, the most of each that one of its versions takes. */
export function untold(
  versions: readonly { readonly materials: readonly { readonly kind: string; readonly quantity: number }[] }[],
  kinds: readonly KindWire[],
): Needed[] {
  const most = new Map<string, number>();
  for (const v of versions) for (const m of v.materials) most.set(m.kind, Math.max(most.get(m.kind) ?? 0, m.quantity));
  return [...most].flatMap(([id, quantity]) => {
    const kind = kinds.find((k) => k.id === id);
    return kind && kind.state === 'unsure' ? [{ kind, quantity }] : [];
  });
}

/** Asks once, when a game is taken, for the things nobody has counted; all answers are one step to undo. */
export function AskThings({ game, needs, onClose }: { game: string; needs: readonly Needed[]; onClose: () => void }) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const [said, setSaid] = useState<ReadonlyMap<string, Said>>(new Map());
  const save = useMutation({
    mutationFn: () =>
      call('PUT /kinds', {
        body: {
          things: needs.flatMap(({ kind, quantity }) => {
            const answer = said.get(kind.id);
            if (answer === undefined || answer === 'unsure') return [];
            return [{ id: kind.id, ...hereAre(kind, answer === 'have' ? quantity : 0), told: 'number' as const }];
          }),
        },
      }),
    onSuccess: ({ change }) => {
      void client.invalidateQueries();
      tellUndo('Your things are counted.', change);
      onClose();
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const told = [...said.values()].some((a) => a !== 'unsure');
  return (
    <section className={styles.ask} aria-label={`What ${game} needs`}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (told) save.mutate();
          else onClose();
        }}
      >
        <h3>What {game} needs</h3>
        <p className={panel.soft}>Nobody has said yet whether these are here; asked once, and what is not sure is used as if there.</p>
        <ul className={panel.list}>
          {needs.map(({ kind, quantity }) => (
            <li key={kind.id} className={styles.asked}>
              <span>
                <Light state="unsure" /> {quantity > 1 ? `${quantity} × ` : ''}
                {kind.title.toLowerCase()}
              </span>
              <span role="group" aria-label={kind.title}>
                {(Object.keys(answers) as Said[]).map((a) => (
                  <button
                    key={a}
                    type="button"
                    aria-pressed={(said.get(kind.id) ?? 'unsure') === a}
                    onClick={() => setSaid(new Map(said).set(kind.id, a))}
                  >
                    {answers[a]}
                  </button>
                ))}
              </span>
            </li>
          ))}
        </ul>
        <div className={panel.actions}>
          <Button type="submit" kind="main" disabled={save.isPending}>
            {told ? 'That is so' : 'Not now'}
          </Button>
        </div>
      </form>
    </section>
  );
}
