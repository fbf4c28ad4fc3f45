import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { GameWire } from '../../contract/wire/shelf';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { pageToday } from '../shared/words';
import { hereAre, useKinds } from '../things/useThings';
import { BinSheet } from './BinSheet';
import { CountKind, type KindAnswer } from './CountKind';
import { type GameAnswer, LookAtGame } from './LookAtGame';
import { answered, type Finding, none, readProgress, writeProgress } from './progress';
import styles from './stocktake.module.css';

export default function StockTakeView() {
  return (
    <App>
      <StockTake />
    </App>
  );
}

interface Bin {
  readonly title: string;
  readonly kinds: readonly KindWire[];
  readonly games: readonly GameWire[];
}

type Item = { readonly id: string; readonly title: string } & ({ readonly kind: KindWire } | { readonly game: GameWire });

const itemsOf = (b: Bin): Item[] => [
  ...b.kinds.map((kind) => ({ id: `kind:${kind.id}`, title: kind.title, kind })),
  ...b.games.map((game) => ({ id: `game:${game.id}`, title: game.title, game })),
];

const findings: Readonly<Record<Finding, string>> = {
  mend: 'To mend',
  print: 'To make or print',
  buy: 'To find or buy',
  moved: 'Moved',
  away: 'Put away until next year',
};

/** A bin at a time, a thing at a time: what is here, what is wrong with it; it goes on where it stopped. */
function StockTake() {
  const today = pageToday();
  const client = useQueryClient();
  const tell = useTell();
  const kinds = useKinds();
  const games = useQuery({ queryKey: ['games'], queryFn: () => call('GET /games', { query: { limit: 5000 } }) });
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins', { query: { limit: 5000 } }) });
  const [progress, setProgress] = useState(() => (typeof localStorage === 'undefined' ? {} : readProgress(today)));
  const [open, setOpen] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const [paper, setPaper] = useState<string | null>(null);
  const record = useMutation({
    mutationFn: async ({ item, answer }: { item: Item; answer: KindAnswer | GameAnswer }) => {
      if ('kind' in item && 'count' in answer) {
        const { kind } = item;
        const said =
          typeof answer.count === 'number' ? { ...hereAre(kind, answer.count), told: 'number' as const } : { told: answer.count };
        await call('PUT /kinds/{id}/stock', { params: { id: kind.id }, body: said });
        if (Object.keys(answer.patch).length > 0) await call('PATCH /kinds/{id}', { params: { id: kind.id }, body: answer.patch });
      } else if ('game' in item && 'away' in answer) {
        const { game } = item;
        if (Object.keys(answer.patch).length > 0)
          await call('PATCH /games/{id}', { params: { id: game.id }, body: { ...answer.patch, version: game.version } });
        if (answer.away) await call('POST /games/{id}/retire', { params: { id: game.id } });
      }
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
    onSettled: () => void client.invalidateQueries(),
  });
  const error = kinds.error ?? games.error ?? bins.error;
  if (error) return <Failure message={messageOf(error)} />;
  if (!kinds.data || !games.data || !bins.data) return <Loading what="Opening the bins …" />;
  const all = binsOf(kinds.data.items, games.data.items, bins.data.items);
  const drawers = [...new Set([...bins.data.items.map((b) => b.title), ...all.map((b) => b.title)])];
  const bin = all.find((b) => b.title === open);
  const printed = all.find((b) => b.title === paper);

  const keep = (item: Item, answer: KindAnswer | GameAnswer, count: number): void => {
    if (!bin) return;
    record.mutate({ item, answer });
    const next = { ...progress, [bin.title]: answered(progress[bin.title] ?? none, item.id, item.title, answer.found, today) };
    setProgress(next);
    writeProgress(next);
    setAt(Math.min(count, at + 1));
  };

  if (!bin) {
    const found = Object.values(progress).flatMap((p) => p.found);
    return (
      <>
        <div className={panel.head}>
          <h1>Stock-take</h1>
          <p className={panel.lead}>A bin at a time. Stop where you like; it goes on from there.</p>
          <span className={panel.spring} />
          <LinkButton href={link('/shelf/things')}>Back to the things</LinkButton>
        </div>
        {all.length === 0 && (
          <Empty title="There is no bin yet">
            <p>Say what you have first, or bring in your list of games.</p>
            <LinkButton kind="main" href={link('/shelf/things?tick')}>
              Tick what we have
            </LinkButton>
          </Empty>
        )}
        <ul className={styles.bins}>
          {all.map((b) => {
            const items = itemsOf(b);
            const done = items.filter((i) => progress[b.title]?.done.includes(i.id)).length;
            return (
              <li key={b.title}>
                <div>
                  <b>{b.title}</b>
                  <span className={panel.soft}>
                    {done === 0
                      ? `${items.length} to look at`
                      : done === items.length
                        ? 'all looked at'
                        : `${done} of ${items.length} looked at`}
                  </span>
                </div>
                <progress max={items.length} value={done} aria-label={`${b.title}: looked at`} />
                <div className={panel.row}>
                  <Button
                    onClick={() => {
                      const first = items.findIndex((i) => !progress[b.title]?.done.includes(i.id));
                      setAt(first < 0 ? 0 : first);
                      setOpen(b.title);
                    }}
                  >
                    {done === 0 ? 'Begin' : done === items.length ? 'Look again' : 'Go on'}
                  </Button>
                  <Button
                    kind="plain"
                    onClick={() => {
                      setPaper(b.title);
                      setTimeout(() => window.print(), 50);
                    }}
                  >
                    print its sheet
                  </Button>
                </div>
              </li>
            );
          })}
        </ul>
        {found.length > 0 && (
          <section className={panel.sheet} aria-labelledby="stock-found">
            <div className={panel.row}>
              <h2 id="stock-found">What was found</h2>
              <span className={panel.spring} />
              <Button
                kind="plain"
                onClick={() => {
                  setProgress({});
                  writeProgress({});
                }}
              >
                Begin a new stock-take
              </Button>
            </div>
            {(Object.keys(findings) as Finding[]).map((what) => {
              const own = found.filter((f) => f.what === what);
              return (
                own.length > 0 && (
                  <div key={what}>
                    <h3>{findings[what]}</h3>
                    <ul>
                      {own.map((f) => (
                        <li key={f.title}>
                          {f.title}: {f.words}
                        </li>
                      ))}
                    </ul>
                  </div>
                )
              );
            })}
          </section>
        )}
        {printed && <BinSheet title={printed.title} kinds={printed.kinds} games={printed.games} />}
      </>
    );
  }
  const items = itemsOf(bin);
  const item = items[at];
  const next = items[at + 1]?.title ?? null;
  return (
    <div className={styles.take}>
      <div className={styles.head}>
        <button type="button" onClick={() => setOpen(null)}>
          ‹ bins
        </button>
        <h1>{bin.title}</h1>
        <b>
          {Math.min(at + 1, items.length)} of {items.length}
        </b>
        <div className={styles.cells} aria-hidden>
          {items.map((i, n) => (
            <span key={i.id} data-state={n === at ? 'now' : progress[bin.title]?.done.includes(i.id) ? 'done' : 'open'} />
          ))}
        </div>
      </div>
      {!item ? (
        <section className={styles.one}>
          <h2>{bin.title} is looked at</h2>
          <Button kind="main" onClick={() => setOpen(null)}>
            To the bins
          </Button>
        </section>
      ) : 'kind' in item ? (
        <CountKind
          key={item.id}
          kind={item.kind}
          drawers={drawers.filter((d) => d !== bin.title)}
          next={next}
          onAnswer={(a) => keep(item, a, items.length)}
        />
      ) : (
        <LookAtGame
          key={item.id}
          game={item.game}
          drawers={drawers.filter((d) => d !== bin.title)}
          next={next}
          onAnswer={(a) => keep(item, a, items.length)}
        />
      )}
    </div>
  );
}

/** Drawers of things and bins of games, by title, each with what lies in it. */
function binsOf(
  kinds: readonly KindWire[],
  games: readonly GameWire[],
  bins: readonly { readonly id: string; readonly title: string }[],
): Bin[] {
  const inUse = kinds.filter((k) => k.state !== 'unsure' || k.bin !== null);
  const titleOf = new Map(bins.map((b) => [b.id, b.title]));
  const titles = [...new Set([...bins.map((b) => b.title), ...inUse.map((k) => k.drawer)])];
  return titles
    .map((title) => ({
      title,
      kinds: inUse.filter((k) => k.drawer === title),
      games: games.filter((g) => titleOf.get(g.bin ?? '') === title),
    }))
    .filter((b) => b.kinds.length + b.games.length > 0);
}
