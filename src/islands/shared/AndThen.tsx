import { useQuery } from '@tanstack/react-query';
import { call, link } from './api';
import panel from './panel.module.css';

/** What a table plays on with from the same things, where its game is done long before the round. */
export function AndThen({ plan, version, round, table }: { plan: string; version: number; round: number; table: number }) {
  const then = useQuery({ queryKey: ['then', plan, version], queryFn: () => call('GET /plans/{id}/then', { params: { id: plan } }) });
  const own = then.data?.items.find((t) => t.round === round && t.table === table);
  if (!own) return null;
  return (
    <p className={panel.small}>
      Done in about {Math.max(1, Math.round(own.minutes))} minutes.{' '}
      {own.then ? (
        <>
          <b>And then</b> <a href={link(`/shelf/${own.then.game}?version=${own.then.variant}`)}>{own.then.title}</a>,{' '}
          {own.then.variantTitle}, from the same things: about {Math.max(1, Math.round(own.then.minutes))} minutes.
        </>
      ) : (
        'Nothing else is played with the same things here: play it again, or swap it for a longer one.'
      )}
    </p>
  );
}
