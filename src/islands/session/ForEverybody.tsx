import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PlanWire } from '../../contract/wire/plan';
import { Button } from '../../ui/Button';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import panel from '../shared/panel.module.css';
import type { Easing } from './Missing';
import styles from './session.module.css';

/** A round in which all play together, as an opener or an end; the others stay as they are. */
export function ForEverybody({
  plan,
  gameTitle,
  busy,
  onAgain,
}: {
  plan: PlanWire;
  gameTitle: (id: string) => string;
  busy: boolean;
  onAgain: (easing: Easing) => void;
}) {
  const [open, setOpen] = useState(false);
  const [round, setRound] = useState(0);
  const [game, setGame] = useState('');
  const found = useQuery({
    queryKey: ['everybody', plan.id, plan.version],
    queryFn: () => call('GET /plans/{id}/everybody', { params: { id: plan.id } }),
    enabled: open,
  });
  const { everybody, present } = plan.request;
  const items = found.data?.items ?? [];
  const chosen = game || items[0]?.game || '';
  return (
    <details className={styles.today}>
      <summary onClick={() => setOpen(true)}>
        {everybody.length === 0
          ? 'A round for everybody'
          : everybody.map((e) => `Round ${e.round + 1}: ${gameTitle(e.game)} for everybody`).join(', ')}
      </summary>
      {everybody.map((e) => (
        <p key={e.round} className={panel.row}>
          <span>
            Round {e.round + 1} is {gameTitle(e.game)}, all together.
          </span>
          <Button disabled={busy} onClick={() => onAgain({ everybody: everybody.filter((x) => x.round !== e.round) })}>
            Tables again
          </Button>
        </p>
      ))}
      {found.isPending && open && <p className={panel.soft}>Looking along the shelf …</p>}
      {found.data && items.length === 0 && (
        <div className={panel.row}>
          <span>No game on the shelf seats {present.length} at once. Covering squares that are called and loops of cards do.</span>
          <LinkButton href={link('/shelf/library')}>Take one from the library</LinkButton>
        </div>
      )}
      {items.length > 0 && (
        <form
          className={panel.row}
          onSubmit={(e) => {
            e.preventDefault();
            onAgain({ everybody: [...everybody.filter((x) => x.round !== round), { round, game: chosen }] });
          }}
        >
          <label>
            In round{' '}
            <select value={round} onChange={(e) => setRound(Number(e.target.value))}>
              {plan.rounds.map((_, r) => (
                <option key={r} value={r}>
                  {r + 1}
                </option>
              ))}
            </select>
          </label>
          <label>
            all play{' '}
            <select value={chosen} onChange={(e) => setGame(e.target.value)}>
              {items.map((i) => (
                <option key={i.game} value={i.game}>
                  {i.title}, good for {i.for} of {present.length}
                </option>
              ))}
            </select>
          </label>
          <Button type="submit" disabled={busy}>
            Plan it so
          </Button>
        </form>
      )}
    </details>
  );
}
