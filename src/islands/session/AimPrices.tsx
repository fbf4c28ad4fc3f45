import type { PlanWire } from '../../contract/wire/plan';
import type { AimPriceWire } from '../../contract/wire/plans';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call, finished } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';

type Aim = AimPriceWire['aim'];
const words: Record<Aim, string> = {
  floor: 'Nobody far below the best there is for that child alone',
  games: 'Few games to fetch and explain',
  companions: 'Who sits with whom',
};

/** Less than this is not told: two searches of the same session need not end alike. */
const leastShare = 0.005;

/** What an aim costs, in words. */
export function priceSentence({ aim, share, games, gamesWithout }: AimPriceWire): string {
  const cost =
    share < leastShare
      ? 'costs less than half a per cent; so little may be the search alone.'
      : `costs ${(share * 100).toFixed(1)} % of what all practise together.`;
  const fewer = aim === 'games' && gamesWithout > games ? ` ${games} different games instead of ${gamesWithout}.` : '';
  return `${words[aim]}: ${cost}${fewer}`;
}

/** Opened, the session is planned once more without each aim, one after another: what each costs in practice. */
export function AimPrices({ plan }: { plan: PlanWire }) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)} className={panel.small}>
      <summary>What our ways of planning cost here</summary>
      {open && <Prices plan={plan} />}
    </details>
  );
}

function Prices({ plan }: { plan: PlanWire }) {
  const wishes = useQuery({ queryKey: ['wishes'], queryFn: () => call('GET /wishes') });
  if (wishes.error) return <p className={panel.bad}>{messageOf(wishes.error)}</p>;
  if (!wishes.data) return null;
  const { mix, together } = wishes.data;
  return <PricesOf plan={plan} aims={mix || together.length > 0 ? ['floor', 'games', 'companions'] : ['floor', 'games']} />;
}

function PricesOf({ plan, aims }: { plan: PlanWire; aims: readonly Aim[] }) {
  const [asked, setAsked] = useState(1);
  const found = useQueries({
    queries: aims.map((aim, i) => ({
      queryKey: ['aim-price', plan.id, plan.version, aim],
      queryFn: async ({ signal }: { signal: AbortSignal }) => {
        try {
          return await finished('POST /plans/{id}/price', { params: { id: plan.id }, body: { aim } }, undefined, signal);
        } finally {
          setAsked((n) => Math.max(n, i + 2));
        }
      },
      enabled: i < asked,
      staleTime: Infinity,
    })),
  });
  return (
    <>
      <ul aria-live="polite">
        {found.map((f, i) => (
          <li key={aims[i]}>
            {f.data ? (
              priceSentence(f.data)
            ) : f.error ? (
              <span className={panel.bad}>{messageOf(f.error)}</span>
            ) : (
              <span className={panel.soft}>{words[aims[i]!]}: planning without it …</span>
            )}
          </li>
        ))}
      </ul>
      <p className={panel.soft}>
        Each is planned once more without it, as long as this plan was; by the plan’s own scoring, not a promise.
      </p>
    </>
  );
}
