import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { LinkButton } from '../../ui/LinkButton';
import { call, fileOf, link, saveFile } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { paperKept } from '../shared/printHow';

/** Labels of a bin and the bags in it, with a code that opens their page on this machine's address. */
export function BinLabels() {
  const tell = useTell();
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins') });
  const [asked, setAsked] = useState<string | null>(null);
  const items = bins.data?.items ?? [];
  const chosen = items.find((b) => b.id === asked) ?? items[0];
  const print = useMutation({
    mutationFn: async (ids: readonly string[]) => {
      for (const id of ids) {
        const body = { ...paperKept(), address: location.origin };
        saveFile(await fileOf('POST /bins/{id}/label', { params: { id }, body }), `labels-${id}.pdf`);
      }
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (bins.data && !chosen)
    return (
      <>
        <p>There is no bin yet. A game says in which bin it lies; then its label is printed here.</p>
        <LinkButton href={link('/shelf')}>To the shelf</LinkButton>
      </>
    );
  return (
    chosen && (
      <>
        <Field label="Bin">
          {(p) => (
            <select {...p} value={chosen.id} onChange={(e) => setAsked(e.target.value)}>
              {items.map((b) => (
                <option key={b.id} value={b.id}>
                  {b.title}
                </option>
              ))}
            </select>
          )}
        </Field>
        <p className={`${panel.soft} ${panel.small}`}>
          One large label for the bin with what lies in it, and a small one for the bag of each game. The code on each opens its page at{' '}
          {location.origin}.
        </p>
        <Button disabled={print.isPending} onClick={() => print.mutate([chosen.id])}>
          {print.isPending ? 'Printing …' : 'Print the labels'}
        </Button>
        {items.length > 1 && (
          <Button kind="plain" disabled={print.isPending} onClick={() => print.mutate(items.map((b) => b.id))}>
            Those of all {items.length} bins, a file each
          </Button>
        )}
      </>
    )
  );
}
