import type { FitHelpWire } from '../../contract/wire/practice';
import type { VariantWire } from '../../contract/wire/shelf';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Progress } from '../../ui/Empty';
import { finished } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useWriteKey } from '../shared/useWriteKey';
import styles from './fit.module.css';
import { keepTurned, settingWords } from './turnedVersion';

type Change = FitHelpWire['changes'][number];

/** A version made easier or harder for a child or a table: the smallest changes, each played and measured, to keep as an own version. */
export function MakeItFit({
  variant,
  who,
  beside = [],
  direction,
  onDone,
}: {
  variant: VariantWire;
  who: readonly { readonly id: string; readonly nickname: string }[];
  /** Versions that others at the table play: what cannot be played beside them is not offered. */
  beside?: readonly string[];
  direction: 'easier' | 'harder';
  /** With the id of the version that was kept. */
  onDone: (kept: string) => void;
}) {
  const tell = useTell();
  const client = useQueryClient();
  const [share, setShare] = useState(0);
  const key = useWriteKey();
  const learners = who.map((c) => c.id);
  const name = (id: string): string => who.find((c) => c.id === id)!.nickname;
  const names = who.length === 1 ? who[0]!.nickname : 'this table';
  const help = useQuery({
    queryKey: ['fit', variant.id, variant.version, learners, beside, direction],
    queryFn: ({ signal }) =>
      finished(
        'POST /variants/{id}/for',
        {
          params: { id: variant.id },
          query: { wait: 0 },
          body: { learners, direction, ...(beside.length > 0 ? { beside: [...beside] } : {}) },
        },
        setShare,
        signal,
      ),
    staleTime: Infinity,
  });
  const keep = useMutation({
    mutationFn: (c: Change) => keepTurned(variant, c, key),
    onSuccess: (id) => {
      void client.invalidateQueries();
      tell('Kept as a version of its own.');
      onDone(id);
    },
    onError: (error) => tell(messageOf(error), { bad: true }),
  });
  return (
    <div className={styles.fit} role="group" aria-label={`${direction === 'easier' ? 'Easier' : 'Harder'} for ${names}`}>
      {help.isLoading && <Progress share={share} label={`turning its numbers for ${names}`} />}
      {help.error && <p className={panel.bad}>{messageOf(help.error)}</p>}
      {help.data && help.data.changes.length === 0 && (
        <p>
          No single change makes it {direction} for {names}
          {beside.length > 0 ? ' and can be played beside the other versions here' : ''}. Another version, a tool or somebody beside may.
        </p>
      )}
      <ul>
        {help.data?.changes.map((c) => (
          <li key={c.parameter}>
            {c.parameterTitle}: <b>{settingWords(c.value)}</b>. {rightWords(c.children, name)}; about {Math.round(c.minutes.mean)} min.{' '}
            <Button kind="plain" disabled={keep.isPending} onClick={() => keep.mutate(c)}>
              Keep as a version
            </Button>
          </li>
        ))}
      </ul>
      {help.data && help.data.changes.length > 0 && (
        <p className={`${panel.soft} ${panel.small}`}>
          Each change was played 96 times and read by {who.length === 1 ? `${names}’s map` : 'each child’s map'} of today.
        </p>
      )}
    </div>
  );
}

/** How many of ten each child would have right, and had; those for whom it makes no odds at the end. */
function rightWords(children: Change['children'], name: (id: string) => string): string {
  const tens = (share: number): number => Math.round(share * 10);
  const told = (one: Change['children'][number]): string => `about ${tens(one.after)} of 10 right instead of ${tens(one.before)}`;
  if (children.length === 1) return `A${told(children[0]!).slice(1)}`;
  const same = children.filter((one) => tens(one.after) === tens(one.before)).map((one) => name(one.learner));
  const differ = children.filter((one) => tens(one.after) !== tens(one.before)).map((one) => `${name(one.learner)} ${told(one)}`);
  return [...differ, ...(same.length > 0 ? [`${same.join(', ')} hardly otherwise`] : [])].join('; ');
}
