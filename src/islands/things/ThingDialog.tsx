import type { KindWire, SubstituteWire } from '../../contract/wire/thingsOwned';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { ThingDrawing } from '../../ui/things/ThingDrawing';
import { call, problemAt } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import styles from './things.module.css';

/** Where a thing lives, how it is, with whom some of it is, and what will do in its place. */
export function ThingDialog({
  thing,
  bins,
  substitutes,
  onClose,
}: {
  thing: KindWire;
  bins: readonly string[];
  substitutes: readonly SubstituteWire[];
  onClose: () => void;
}) {
  const client = useQueryClient();
  const tellUndo = useTellUndo();
  const [bin, setBin] = useState(thing.bin === null ? '' : thing.drawer);
  const [condition, setCondition] = useState(thing.condition);
  const [price, setPrice] = useState(thing.price === null ? '' : String(thing.price));
  const [incomplete, setIncomplete] = useState(thing.incomplete);
  const [loans, setLoans] = useState(thing.loans);
  const [standIn, setStandIn] = useState(thing.standIn);
  const save = useMutation({
    mutationFn: () =>
      call('PATCH /kinds/{id}', {
        params: { id: thing.id },
        body: { bin, condition, incomplete, loans, standIn, price: price === '' ? null : Number(price.replace(',', '.')) },
      }),
    onSuccess: ({ change }) => {
      void client.invalidateQueries();
      tellUndo(`${thing.title}: changed.`, change);
      onClose();
    },
  });
  const asked = substitutes.filter((s) => s.for === thing.id);
  return (
    <Dialog title={thing.title} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <div className={panel.row}>
          <ThingDrawing kind={thing.id} />
          {thing.caution && <p className={`${panel.small} ${panel.soft}`}>{thing.caution}</p>}
        </div>
        <Field label="Lives in" hint="A bin of yours; empty: where such things usually lie">
          {(p) => <input {...p} value={bin} list="thing-bins" onChange={(e) => setBin(e.target.value)} />}
        </Field>
        <datalist id="thing-bins">
          {bins.map((b) => (
            <option key={b} value={b} />
          ))}
        </datalist>
        <Field label="What is missing of it" hint="One has 22 of 24 cards, say; empty: it is whole">
          {(p) => <input {...p} value={incomplete} maxLength={500} onChange={(e) => setIncomplete(e.target.value)} />}
        </Field>
        <Field label="How it is">
          {(p) => (
            <input {...p} value={condition} maxLength={500} placeholder="worn, mended …" onChange={(e) => setCondition(e.target.value)} />
          )}
        </Field>
        <Field label="What one costs" hint="In your own money; then the list of what to buy adds up" error={problemAt(save.error, 'price')}>
          {(p) => <input {...p} type="number" min={0} step="0.01" value={price} onChange={(e) => setPrice(e.target.value)} />}
        </Field>
        <fieldset className={styles.loans}>
          <legend>With somebody else</legend>
          {loans.map((l, i) => {
            const change = (more: Partial<typeof l>): void => setLoans(loans.map((x, j) => (j === i ? { ...x, ...more } : x)));
            return (
              <div key={i} className={panel.row}>
                <input
                  type="number"
                  min={1}
                  aria-label="How many are lent"
                  value={l.quantity}
                  onChange={(e) => change({ quantity: Number(e.target.value) })}
                />
                <input aria-label="With whom" placeholder="with whom" value={l.who} onChange={(e) => change({ who: e.target.value })} />
                <input type="date" aria-label="Until" value={l.until ?? ''} onChange={(e) => change({ until: e.target.value || null })} />
                <Button kind="plain" onClick={() => setLoans(loans.filter((_, j) => j !== i))}>
                  it is back
                </Button>
                {(problemAt(save.error, `loans.${i}.who`) ?? problemAt(save.error, `loans.${i}.quantity`)) && (
                  <p className={panel.bad}>{problemAt(save.error, `loans.${i}.who`) ?? problemAt(save.error, `loans.${i}.quantity`)}</p>
                )}
              </div>
            );
          })}
          <Button onClick={() => setLoans([...loans, { who: '', quantity: 1, until: null }])}>Lend some</Button>
        </fieldset>
        {asked.length > 0 && (
          <fieldset className={styles.loans}>
            <legend>Where there is none, what will do</legend>
            <ul className={panel.list}>
              {asked.map((s) => (
                <li key={s.use ?? s.say}>
                  {s.automatic ? (
                    <span>
                      <b>{s.use === null ? 'What every house has' : s.title}</b>, used without asking.
                    </span>
                  ) : (
                    <label className={styles.willDo}>
                      <input type="checkbox" checked={standIn === s.use} onChange={(e) => setStandIn(e.target.checked ? s.use : null)} />
                      <span>
                        <b>{s.title}</b> will do; {s.minutes} {s.minutes === 1 ? 'minute' : 'minutes'} to get ready.
                      </span>
                    </label>
                  )}
                  <p className={`${panel.soft} ${panel.small}`}>
                    {s.say} {s.effect.say}
                  </p>
                </li>
              ))}
            </ul>
          </fieldset>
        )}
        {save.error !== null && !problemAt(save.error, 'loans.0.who') && !problemAt(save.error, 'price') && (
          <p className={panel.bad}>{messageOf(save.error)}</p>
        )}
        <FormActions onLeave={onClose} busy={save.isPending} />
      </form>
    </Dialog>
  );
}
