import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { LeftWire } from '../../contract/wire/thingsOwned';
import { Button } from '../../ui/Button';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import styles from './stocktake.module.css';

/** What so many of a thing are still good for, where some are gone: games that go on, that no longer do, and what they become. */
export function LeftOver({ kind, quantity }: { kind: string; quantity: number }) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const left = useQuery({
    queryKey: ['left', kind, quantity],
    queryFn: () => call('GET /kinds/{id}/left', { params: { id: kind }, query: { quantity } }),
    placeholderData: (before) => before,
  });
  const take = useMutation({
    mutationFn: (g: LeftWire['becomes'][number]) => call('POST /library/{id}/take', { params: { id: g.game } }),
    onSuccess: ({ change }, g) => {
      void client.invalidateQueries();
      tellUndo(`${g.title} is on your shelf.`, change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (!left.data) return null;
  const { still, lost, lostSteps, becomes } = left.data;
  if (still.length + lost.length + becomes.length === 0) return null;
  return (
    <div className={styles.left} aria-live="polite">
      {still.length > 0 && (
        <p>
          <b>Still good</b> for {still.map(words).join('; ')}.
        </p>
      )}
      {lost.length > 0 && (
        <p>
          <b>No longer enough</b> for {lost.map((g) => g.title).join(', ')}
          {lostSteps.length > 0 ? `: nothing here plays ${lostSteps.slice(0, 3).join(', ').toLowerCase()} then` : ''}.
        </p>
      )}
      {becomes.length > 0 && (
        <div className={panel.row}>
          <span>Could become</span>
          {becomes.map((g) => (
            <Button key={g.game} disabled={take.isPending} title={g.steps.join(', ')} onClick={() => take.mutate(g)}>
              {g.title}
            </Button>
          ))}
        </div>
      )}
      <p className={`${panel.soft} ${panel.small}`}>By what versions need; practice is calculated from their rules, or the owner’s word.</p>
    </div>
  );
}

const words = (g: LeftWire['still'][number]): string => (g.steps.length > 0 ? `${g.title} (${g.steps[0]!.toLowerCase()})` : g.title);
