import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { call, problemAt } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';

/** A thing of the owner's own. */
export function AddThing({ drawer, onClose }: { drawer: string; onClose: () => void }) {
  const client = useQueryClient();
  const tellUndo = useTellUndo();
  const [title, setTitle] = useState('');
  const [quantity, setQuantity] = useState('1');
  const [smallParts, setSmallParts] = useState(false);
  const save = useMutation({
    mutationFn: () =>
      call('POST /kinds', { body: { title, bin: drawer, smallParts, ...(quantity === '' ? {} : { quantity: Number(quantity) }) } }),
    onSuccess: ({ change }) => {
      void client.invalidateQueries();
      tellUndo(`${title.trim()} stands with the things.`, change);
      onClose();
    },
  });
  return (
    <Dialog title={`Something else in ${drawer}`} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <Field label="What is it called?" error={problemAt(save.error, 'title')}>
          {(p) => <input {...p} value={title} maxLength={200} onChange={(e) => setTitle(e.target.value)} required />}
        </Field>
        <Field label="How many?" hint="Empty: not sure">
          {(p) => <input {...p} type="number" min={0} max={100000} value={quantity} onChange={(e) => setQuantity(e.target.value)} />}
        </Field>
        <label className={panel.row}>
          <input type="checkbox" checked={smallParts} onChange={(e) => setSmallParts(e.target.checked)} />
          <span>Small parts: away from children under three</span>
        </label>
        {save.error !== null && !problemAt(save.error, 'title') && <p className={panel.bad}>{messageOf(save.error)}</p>}
        <FormActions onLeave={onClose} busy={save.isPending} />
      </form>
    </Dialog>
  );
}
