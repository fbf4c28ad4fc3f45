import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { askedToday, call, follow, isBegun, link, problemAt } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useWriteKey } from '../shared/useWriteKey';
import { WhoIsThere } from './WhoIsThere';

const lengths = [10, 15, 20] as const;

/** The month so many months before this one, as `YYYY-MM`. */
export function monthsAgo(months: number, day: string = askedToday() ?? new Date().toISOString().slice(0, 10)): string {
  const at = Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7)) - 1 - months;
  return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`;
}

const nameField = (): HTMLElement | null => document.querySelector('dialog[open] input');

/** These children, now: ages are enough, and games come from the library where the shelf has too few. */
export function SessionNow({ onClose }: { onClose: () => void }) {
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const [away, setAway] = useState<ReadonlySet<string>>(new Set());
  const [minutes, setMinutes] = useState(15);
  const [rounds, setRounds] = useState(2);
  const [grownUp, setGrownUp] = useState(false);
  const [nickname, setNickname] = useState('');
  const [age, setAge] = useState('');
  const client = useQueryClient();
  const key = useWriteKey();
  const all = learners.data?.items ?? [];
  const present = all.filter((l) => !away.has(l.id)).map((l) => l.id);
  const add = useMutation({
    // So many years and about half a year: what is known of somebody who is so old.
    mutationFn: () => call('POST /learners', { body: { nickname, born: monthsAgo(Number(age) * 12 + 6) } }),
    onSuccess: async () => {
      setNickname('');
      setAge('');
      nameField()?.focus();
      await client.invalidateQueries();
    },
  });
  const go = useMutation({
    mutationFn: async () => {
      const answer = await call('POST /sessions/now', { body: { present, minutes, rounds, ...(grownUp ? { grownUp } : {}) }, key });
      return isBegun(answer) ? (await follow('POST /sessions/now', answer, () => undefined)).plan : answer.plan;
    },
    onSuccess: (id) => void (location.href = link(`/play?plan=${id}`)),
  });
  return (
    <Dialog title="A session now" onClose={onClose}>
      <form
        className={panel.row}
        onSubmit={(e) => {
          e.preventDefault();
          add.mutate();
        }}
      >
        <Field label="A child" error={problemAt(add.error, 'nickname')}>
          {(p) => (
            <input
              {...p}
              value={nickname}
              maxLength={80}
              placeholder="initials will do"
              onChange={(e) => {
                setNickname(e.target.value);
                // What was refused was the name that stood there before.
                add.reset();
              }}
              required
            />
          )}
        </Field>
        <Field label="Years old" error={problemAt(add.error, 'born')}>
          {(p) => (
            <input
              {...p}
              type="number"
              min={3}
              max={14}
              value={age}
              onChange={(e) => {
                setAge(e.target.value);
                add.reset();
              }}
              required
            />
          )}
        </Field>
        <Button type="submit" disabled={add.isPending || nickname.trim() === '' || age === ''}>
          Add
        </Button>
      </form>
      {add.error !== null && !problemAt(add.error, 'nickname') && !problemAt(add.error, 'born') && (
        <p className={panel.bad}>{messageOf(add.error)}</p>
      )}
      {all.length > 0 && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            go.mutate();
          }}
        >
          <WhoIsThere all={all} away={away} onChange={setAway} />
          <div className={panel.row}>
            <label>
              Games one after another{' '}
              <select value={rounds} onChange={(e) => setRounds(Number(e.target.value))}>
                {[1, 2, 3, 4].map((n) => (
                  <option key={n}>{n}</option>
                ))}
              </select>
            </label>
            <label>
              Minutes each{' '}
              <select value={minutes} onChange={(e) => setMinutes(Number(e.target.value))}>
                {lengths.map((n) => (
                  <option key={n}>{n}</option>
                ))}
              </select>
            </label>
          </div>
          <label>
            <input
              type="checkbox"
              checked={grownUp || present.length === 1}
              disabled={present.length === 1}
              onChange={(e) => setGrownUp(e.target.checked)}
            />{' '}
            a grown-up may take a seat
          </label>
          <p className={`${panel.soft} ${panel.small}`}>
            Chosen from what can be played with <a href={link('/shelf/things?tick')}>what you have</a>; nobody has to be placed first.
          </p>
          {go.error !== null && <p className={panel.bad}>{messageOf(go.error)}</p>}
          <div className={panel.actions}>
            <Button onClick={onClose}>Leave it</Button>
            <Button kind="main" type="submit" disabled={go.isPending || present.length === 0}>
              {go.isPending ? 'Laying the tables …' : 'Play'}
            </Button>
          </div>
        </form>
      )}
    </Dialog>
  );
}
