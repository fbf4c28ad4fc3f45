import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import { dayWords } from '../shared/words';
import styles from './print.module.css';
import type { MadeWire } from './printSettings';

/** Sets that were made, the latest first: each can be opened as it was, and told how long it took. */
export function MadeSets({ onAgain }: { onAgain: (made: MadeWire) => void }) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const made = useQuery({ queryKey: ['made'], queryFn: () => call('GET /made') });
  const [all, setAll] = useState(false);
  const act = useMutation({
    mutationFn: ({ id, minutes }: { id: string; minutes: number | null | 'gone' }) =>
      minutes === 'gone' ? call('DELETE /made/{id}', { params: { id } }) : call('PATCH /made/{id}', { params: { id }, body: { minutes } }),
    onSuccess: ({ change }, { minutes }) => {
      void client.invalidateQueries();
      tellUndo(
        minutes === 'gone'
          ? 'It is off the list, and there is one less in Things.'
          : 'The next minutes are reckoned from yours, once you told three.',
        change,
      );
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const items = made.data?.items ?? [];
  if (items.length === 0) return null;
  const shown = all ? items : items.slice(0, 4);
  return (
    <section className={`${panel.sheet} ${styles.made}`}>
      <h2>Made before</h2>
      <ul className={panel.list}>
        {shown.map((m) => (
          <li key={m.id} className={styles.madeRow}>
            <span>
              <b>{m.title}</b> {m.label && <span className={panel.soft}>{m.label}</span>}
              <small>
                {dayWords(m.madeOn)} · seed {m.seed} · {m.pieces} {m.pieces === 1 ? 'piece' : 'pieces'}
              </small>
            </span>
            <label className={styles.took}>
              took{' '}
              <input
                type="number"
                min={0}
                max={600}
                defaultValue={m.minutes ?? ''}
                aria-label={`Minutes that ${m.title} took`}
                onBlur={(e) => {
                  const minutes = e.target.value === '' ? null : Number(e.target.value);
                  if (minutes !== m.minutes) act.mutate({ id: m.id, minutes });
                }}
              />{' '}
              min
            </label>
            <Button kind="plain" onClick={() => onAgain(m)}>
              Print again
            </Button>
            <Button kind="plain" aria-label={`${m.title} is gone`} onClick={() => act.mutate({ id: m.id, minutes: 'gone' })}>
              Gone
            </Button>
          </li>
        ))}
      </ul>
      {items.length > shown.length && (
        <Button kind="plain" onClick={() => setAll(true)}>
          All {items.length}
        </Button>
      )}
    </section>
  );
}
