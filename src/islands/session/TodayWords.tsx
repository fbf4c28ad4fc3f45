import { useState } from 'react';
import type { PlanWire } from '../../contract/wire/plan';
import { Button } from '../../ui/Button';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Draft } from './edit';
import type { Easing } from './Missing';
import styles from './session.module.css';

/** What happens on the day, as words: a child is not there, a game is not wanted, two are better apart. The rest stays where it can. */
export function TodayWords({
  plan,
  table,
  nickname,
  gameTitle,
  busy,
  onAgain,
}: {
  plan: PlanWire;
  table: Draft['rounds'][number]['tables'][number];
  nickname: (id: string) => string;
  gameTitle: (id: string) => string;
  busy: boolean;
  onAgain: (easing: Easing) => void;
}) {
  const tell = useTell();
  const [first, setFirst] = useState('');
  const [second, setSecond] = useState('');
  const here = table.seats.map((s) => s.learner);
  const away = (learner: string): void => onAgain({ present: plan.request.present.filter((l) => l !== learner) });
  const apart = async (): Promise<void> => {
    try {
      const { version, ...wishes } = await call('GET /wishes', {});
      const pair: [string, string] = first < second ? [first, second] : [second, first];
      const known = wishes.apart.some(([x, y]) => x === pair[0] && y === pair[1]);
      if (!known) await call('PUT /wishes', { body: { ...wishes, apart: [...wishes.apart, pair], version } });
      onAgain({});
    } catch (error) {
      tell(messageOf(error), { bad: true });
    }
  };
  return (
    <details className={styles.today}>
      <summary>Something is otherwise today</summary>
      <p className={panel.soft}>The session is mended around it: whoever can stays where they are.</p>
      <div className={panel.row}>
        {here.map((l) => (
          <Button key={l} disabled={busy || plan.request.present.length < 2} onClick={() => away(l)}>
            {nickname(l)} is absent today
          </Button>
        ))}
      </div>
      <div className={panel.row}>
        <Button disabled={busy} onClick={() => onAgain({ withoutGames: [...(plan.request.withoutGames ?? []), table.game] })}>
          Not {gameTitle(table.game)} today
        </Button>
        {(plan.request.withoutGames ?? []).length > 0 && (
          <Button kind="plain" disabled={busy} onClick={() => onAgain({ withoutGames: [] })}>
            every game again
          </Button>
        )}
      </div>
      {here.length > 1 && (
        <div className={panel.row}>
          {(
            [
              ['One of them', first, setFirst],
              ['The other', second, setSecond],
            ] as const
          ).map(([label, value, set]) => (
            <select key={label} aria-label={label} value={value} onChange={(e) => set(e.target.value)}>
              <option value="">choose …</option>
              {here.map((l) => (
                <option key={l} value={l}>
                  {nickname(l)}
                </option>
              ))}
            </select>
          ))}
          <Button disabled={busy || first === '' || second === '' || first === second} onClick={() => void apart()}>
            Not together, from now on
          </Button>
        </div>
      )}
    </details>
  );
}
