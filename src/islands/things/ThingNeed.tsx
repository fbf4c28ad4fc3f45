import type { KindWire } from '../../contract/wire/thingsOwned';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Light } from '../../ui/Light';
import { call, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import { hereAre } from './useThings';
import styles from './things.module.css';

export type NeedState = 'there' | 'short' | 'missing' | 'unsure';

/** Whether so many of a kind are there; what nobody counted counts as there, and is told apart. */
export function needState(kind: KindWire | undefined, quantity: number): NeedState {
  if (!kind) return 'there';
  if (kind.state === 'unsure') return 'unsure';
  if (kind.plentiful || kind.quantity >= quantity) return 'there';
  return kind.quantity === 0 ? 'missing' : 'short';
}

/** One thing that is needed. Where it is missing or short it is a button: we have it, something else will do, borrow. */
export function ThingNeed({
  kind,
  id,
  quantity,
  state = needState(kind, quantity),
  standIn = null,
}: {
  kind: KindWire | undefined;
  id: string;
  quantity: number;
  state?: NeedState;
  /** What stands in for it where it is not there, in words. */
  standIn?: string | null;
}) {
  const [open, setOpen] = useState(false);
  const title = (kind?.title ?? id).toLowerCase();
  const words = `${quantity > 1 ? `${quantity} × ` : ''}${title}`;
  if (state === 'there' || state === 'unsure' || !kind)
    return (
      <span title={state === 'unsure' ? 'Nobody has counted them; used as if there' : undefined}>
        <Light state={state} /> {words}
      </span>
    );
  return (
    <>
      <button
        type="button"
        className={styles.need}
        title={standIn ?? undefined}
        aria-label={standIn === null ? `${words}: ${state}. What to do` : `${words}: ${standIn} What to do`}
        onClick={() => setOpen(true)}
      >
        <Light state={standIn === null ? state : 'there'} /> {words}
        {standIn !== null && <small> (something stands in)</small>}
      </button>
      {open && <HaveIt kind={kind} quantity={quantity} onClose={() => setOpen(false)} />}
    </>
  );
}

/** What to do about a thing that is missing or short, each with a click. */
function HaveIt({ kind, quantity, onClose }: { kind: KindWire; quantity: number; onClose: () => void }) {
  const client = useQueryClient();
  const tellUndo = useTellUndo();
  const [count, setCount] = useState(String(Math.max(quantity, kind.quantity)));
  const [from, setFrom] = useState('');
  const substitutes = useQuery({
    queryKey: ['substitutes', kind.id],
    queryFn: () => call('GET /substitutes', { query: { for: kind.id, limit: 100 } }),
  });
  const done = ({ change }: { change: string }, words: string): void => {
    void client.invalidateQueries();
    tellUndo(words, change);
    onClose();
  };
  const told = useMutation({
    mutationFn: (n: number) => call('PUT /kinds/{id}/stock', { params: { id: kind.id }, body: hereAre(kind, n) }),
    onSuccess: (answer, n) => done(answer, `${kind.title}: ${n}.`),
  });
  const changed = useMutation({
    mutationFn: (body: { readonly standIn: string }) => call('PATCH /kinds/{id}', { params: { id: kind.id }, body }),
    onSuccess: (answer) => done(answer, `${kind.title}: so it is.`),
  });
  const borrowed = useMutation({
    mutationFn: async () => {
      // What is known of how it is stays.
      const condition = [kind.condition, `borrowed from ${from.trim()}`].filter(Boolean).join('; ');
      await call('PATCH /kinds/{id}', { params: { id: kind.id }, body: { condition } });
      return call('PUT /kinds/{id}/stock', { params: { id: kind.id }, body: hereAre(kind, quantity) });
    },
    onSuccess: (answer) => done(answer, `${kind.title}: ${quantity}, with what is borrowed.`),
  });
  const error = told.error ?? changed.error ?? borrowed.error;
  return (
    <Dialog title={`${quantity} × ${kind.title.toLowerCase()}`} onClose={onClose}>
      <p className={panel.soft}>
        {kind.quantity === 0 ? 'None are here.' : `${kind.quantity} are here.`}
        {kind.loans.length > 0 && ` ${kind.loans.map((l) => `${l.quantity} with ${l.who}`).join(', ')}.`}
      </p>
      <form
        className={panel.row}
        onSubmit={(e) => {
          e.preventDefault();
          told.mutate(Number(count));
        }}
      >
        <Field label="We have">
          {(p) => <input {...p} type="number" min={0} max={100000} value={count} onChange={(e) => setCount(e.target.value)} />}
        </Field>
        <Button kind="main" type="submit" disabled={told.isPending || count === ''}>
          We have it
        </Button>
      </form>
      {(substitutes.data?.items.length ?? 0) > 0 && (
        <section>
          <h3>Something else will do</h3>
          <ul className={panel.list}>
            {substitutes.data!.items.map((s) => (
              <li key={s.use ?? s.say}>
                <div className={panel.row}>
                  <span>
                    <b>{s.use === null ? s.say : s.title}</b>
                    {s.minutes > 0 && <span className={panel.soft}> {s.minutes} min to get ready</span>}
                  </span>
                  {s.automatic ? (
                    <span className={panel.soft}>used as soon as it is there</span>
                  ) : (
                    <Button disabled={changed.isPending} onClick={() => changed.mutate({ standIn: s.use! })}>
                      Use it instead
                    </Button>
                  )}
                </div>
                <p className={`${panel.soft} ${panel.small}`}>
                  {s.use === null ? '' : `${s.say} `}
                  {s.effect.say}
                </p>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h3>Borrow</h3>
        <form
          className={panel.row}
          onSubmit={(e) => {
            e.preventDefault();
            borrowed.mutate();
          }}
        >
          <Field label="From whom">
            {(p) => <input {...p} value={from} maxLength={80} onChange={(e) => setFrom(e.target.value)} required />}
          </Field>
          <Button type="submit" disabled={from.trim() === '' || borrowed.isPending}>
            Borrowed
          </Button>
        </form>
      </section>
      <section>
        <h3>Make, print or buy</h3>
        <p>
          Until it is here it stands with the work and the shopping for the sessions that need it:{' '}
          <a href={link('/prep?ahead')}>the days ahead</a>.
        </p>
      </section>
      {error !== null && <p className={panel.bad}>{messageOf(error)}</p>}
      <p>
        <a href={link('/shelf/things')}>All things</a>
      </p>
    </Dialog>
  );
}
