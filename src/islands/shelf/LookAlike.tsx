import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from '../../ui/Button';
import { call, link } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import styles from './shelf.module.css';

/** Games that may be one, each with a click that makes one of them. */
export function LookAlike() {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const alike = useQuery({ queryKey: ['look-alike'], queryFn: () => call('GET /look-alike', {}) });
  const merge = useMutation({
    mutationFn: ({ first, second }: { first: string; second: string }) =>
      call('POST /games/{id}/merge', { params: { id: first }, body: { other: second } }),
    onSuccess: ({ change }) => {
      void client.invalidateQueries();
      tellUndo('They are one game now.', change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const pairs = alike.data?.items ?? [];
  if (pairs.length === 0) return null;
  return (
    <details className={styles.alike}>
      <summary>
        {pairs.length === 1 ? 'Two games look like one' : `${pairs.length} pairs of games look like one`}: {pairs[0]!.firstTitle},{' '}
        {pairs[0]!.secondTitle}
        {pairs.length > 1 && ' …'}
      </summary>
      <ul className={panel.list}>
        {pairs.map((p) => (
          <li key={p.first} className={panel.row}>
            <a href={link(`/shelf/${p.first}`)}>{p.firstTitle}</a> and <a href={link(`/shelf/${p.second}`)}>{p.secondTitle}</a>
            <Button disabled={merge.isPending} onClick={() => merge.mutate(p)}>
              One game: {p.firstTitle}
            </Button>
            <Button kind="plain" disabled={merge.isPending} onClick={() => merge.mutate({ first: p.second, second: p.first })}>
              or {p.secondTitle}
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
