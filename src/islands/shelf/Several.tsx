import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { BinWire } from '../../contract/wire/shelf';
import { Button } from '../../ui/Button';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import { useTellUndo } from '../shared/useTellUndo';
import styles from './shelf.module.css';

/** What is done with several games at once. */
export function Several({ games, bins, onDone }: { games: readonly string[]; bins: readonly BinWire[]; onDone: () => void }) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const many = games.length === 1 ? 'One game' : `${games.length} games`;
  const change = useMutation({
    mutationFn: (wish: { bin?: string; away?: boolean }) => call('POST /games/together', { body: { games: [...games], ...wish } }),
    onSuccess: ({ change: c }, wish) => {
      void client.invalidateQueries();
      tellUndo(wish.bin === undefined ? `${many} put away.` : `${many} moved to ${wish.bin}.`, c);
      onDone();
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  return (
    <div className={styles.several} role="group" aria-label="With the chosen games">
      <b>{many} chosen</b>
      <select
        aria-label="Move to"
        value=""
        disabled={change.isPending}
        onChange={(e) => e.target.value && change.mutate({ bin: e.target.value })}
      >
        <option value="">move to …</option>
        {bins.map((b) => (
          <option key={b.id}>{b.title}</option>
        ))}
      </select>
      <Button disabled={change.isPending} onClick={() => change.mutate({ away: true })}>
        Put away
      </Button>
      <Button kind="plain" onClick={onDone}>
        choose none
      </Button>
    </div>
  );
}
