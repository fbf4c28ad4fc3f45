import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { LinkButton } from '../../ui/LinkButton';
import { call, fileOf, link, saveFile } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { readKept, writeKept } from '../shared/kept';
import { paperKept } from '../shared/printHow';

const addressKey = 'zeitgeber.label-address';
const keptAddress = (): string => readKept(addressKey, '');
const keepAddress = (address: string): void => writeKept(addressKey, address);

/** Labels of a bin and the bags in it; with an address that others reach, a code opens their page there. */
export function BinLabels() {
  const tell = useTell();
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins') });
  const [asked, setAsked] = useState<string | null>(null);
  const [address, setAddress] = useState(keptAddress);
  const items = bins.data?.items ?? [];
  const chosen = items.find((b) => b.id === asked) ?? items[0];
  const print = useMutation({
    mutationFn: async (ids: readonly string[]) => {
      for (const id of ids) {
        const body = { ...paperKept(), ...(address.trim() ? { address: address.trim() } : {}) };
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
          One large label for the bin with what lies in it, and a small one for the bag of each game.
        </p>
        <Field
          label="Address for the code"
          hint={
            address.trim()
              ? 'A phone that points at the code opens its page there.'
              : 'Left empty, words say where to look, and there is no code: nobody else reaches this program at this machine’s own address.'
          }
        >
          {(p) => (
            <input
              {...p}
              type="url"
              placeholder="http://…"
              value={address}
              onChange={(e) => {
                setAddress(e.target.value);
                keepAddress(e.target.value);
              }}
            />
          )}
        </Field>
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
