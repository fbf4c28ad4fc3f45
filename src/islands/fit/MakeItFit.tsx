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

/** A version made easier or harder for one child: the smallest changes, each played and measured, to keep as an own version. */
export function MakeItFit({
  variant,
  learner,
  nickname,
  direction,
  onDone,
}: {
  variant: VariantWire;
  learner: string;
  nickname: string;
  direction: 'easier' | 'harder';
  /** With the id of the version that was kept. */
  onDone: (kept: string) => void;
}) {
  const tell = useTell();
  const client = useQueryClient();
  const [share, setShare] = useState(0);
  const key = useWriteKey();
  const help = useQuery({
    queryKey: ['fit', variant.id, variant.version, learner, direction],
    queryFn: ({ signal }) =>
      finished(
        'POST /variants/{id}/for',
        { params: { id: variant.id }, query: { wait: 0 }, body: { learner, direction } },
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
    <div className={styles.fit} role="group" aria-label={`${direction === 'easier' ? 'Easier' : 'Harder'} for ${nickname}`}>
      {help.isLoading && <Progress share={share} label={`turning its numbers for ${nickname}`} />}
      {help.error && <p className={panel.bad}>{messageOf(help.error)}</p>}
      {help.data && help.data.changes.length === 0 && (
        <p>
          No single change makes it {direction} for {nickname}. Another version, a tool or somebody beside may.
        </p>
      )}
      <ul>
        {help.data?.changes.map((c) => (
          <li key={c.parameter}>
            {c.parameterTitle}: <b>{settingWords(c.value)}</b>. About {Math.round(c.after * 10)} of 10 right instead of{' '}
            {Math.round(c.before * 10)}; about {Math.round(c.minutes.mean)} min.{' '}
            <Button kind="plain" disabled={keep.isPending} onClick={() => keep.mutate(c)}>
              Keep as a version
            </Button>
          </li>
        ))}
      </ul>
      {help.data && help.data.changes.length > 0 && (
        <p className={`${panel.soft} ${panel.small}`}>Each change was played 96 times and read by {nickname}’s map of today.</p>
      )}
    </div>
  );
}
