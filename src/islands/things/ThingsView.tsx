import type { KindWire } from '../../contract/wire/thingsOwned';
import { useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { AddThing } from './AddThing';
import { CupboardStrip } from './CupboardStrip';
import { type Mark, markWords, StateMark } from './StateMark';
import { ThingCell } from './ThingCell';
import { ThingDialog } from './ThingDialog';
import styles from './things.module.css';
import { TickCupboard } from './TickCupboard';
import { hereAre, useKinds, useTellStock } from './useThings';

export default function ThingsView({ tick }: { tick: boolean }) {
  return (
    <App>
      <Things tick={tick} />
    </App>
  );
}

const spare = 'Spare parts';
/** Names more than these are a number. */
const mostNamed = 4;

/** Those who gain by a thing, by name where they are few. */
function forWhom(learners: readonly { readonly nickname: string }[], all: number): string {
  if (all > 1 && learners.length === all) return 'for every child';
  if (learners.length > mostNamed) return `for ${learners.length} children`;
  return `for ${new Intl.ListFormat('en', { type: 'conjunction' }).format(learners.map((l) => l.nickname))}`;
}
const markOf = (t: KindWire): Mark => (t.incomplete !== '' && t.state === 'number' ? 'incomplete' : t.state);

/** What do we own, and is it enough for today? */
function Things({ tick }: { tick: boolean }) {
  const kinds = useKinds();
  const playable = useQuery({ queryKey: ['playable'], queryFn: () => call('GET /things/playable') });
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins', { query: { limit: 5000 } }) });
  const substitutes = useQuery({ queryKey: ['substitutes'], queryFn: () => call('GET /substitutes', { query: { limit: 5000 } }) });
  const stock = useTellStock();
  const [ticking, setTicking] = useState(tick);
  const [drawer, setDrawer] = useState<string | null>(null);
  const [opened, setOpened] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const things = useMemo(() => kinds.data?.items ?? [], [kinds.data]);
  const drawers = useMemo(() => {
    const all = [...new Set([...[...things].sort((x, y) => x.place - y.place).map((t) => t.drawer), spare])];
    return [...all.filter((d) => d !== spare), spare].map((title) => ({ title, things: things.filter((t) => t.drawer === title) }));
  }, [things]);
  if (kinds.error) return <Failure message={messageOf(kinds.error)} />;
  if (!kinds.data) return <Loading what="Opening the cupboard …" />;
  if (ticking) return <TickCupboard things={things} onClose={() => setTicking(false)} />;
  const here = drawers.find((d) => d.title === drawer) ?? drawers[0]!;
  const count = (state: KindWire['state']): number => things.filter((t) => t.state === state).length;
  const chosen = things.find((t) => t.id === opened);
  const away = playable.data?.away ?? null;
  const awayThing = away && things.find((t) => t.id === away.kind);
  const titleOf = (id: string): string => things.find((t) => t.id === id)?.title ?? id;
  const standInFor = (t: KindWire): string | null => {
    if (t.state !== 'none') return null;
    const can = substitutes.data?.items.find(
      (s) =>
        s.for === t.id &&
        (s.automatic || s.use === t.standIn) &&
        (s.use === null || things.some((x) => x.id === s.use && x.state !== 'none')),
    );
    return can ? (can.use === null ? can.say : `${titleOf(can.use).toLowerCase()} stand in for it`) : null;
  };
  const lentWords = (t: KindWire): string | null =>
    t.loans.length > 0 ? t.loans.map((l) => `${l.quantity} with ${l.who}${l.until ? ` until ${l.until}` : ''}`).join(', ') : null;
  /** Arrows go from picture to picture. */
  function onArrows(e: KeyboardEvent<HTMLElement>): void {
    if (!(e.target instanceof HTMLElement) || e.target.dataset['thing'] === undefined) return;
    const cells = [...e.currentTarget.querySelectorAll<HTMLElement>('[data-thing]')];
    const at = cells.indexOf(e.target);
    const columns = cells.filter((c) => c.offsetTop === cells[0]!.offsetTop).length || 1;
    const step = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: columns, ArrowUp: -columns }[e.key];
    if (step === undefined || !cells[at + step]) return;
    cells[at + step]!.focus();
    e.preventDefault();
  }
  return (
    <>
      <div className={panel.head}>
        <h1>Things</h1>
        <span className={panel.soft}>
          <b className={panel.num}>{things.length}</b> sorts, <b className={panel.num}>{count('number') + count('plenty')}</b> counted or
          plenty, <b className={panel.num}>{count('unsure')}</b> not sure, <b className={panel.num}>{count('none')}</b> none
        </span>
        <span className={panel.spring} />
        <LinkButton href={link('/shelf/stocktake')}>Stock-take</LinkButton>
        <LinkButton href={link('/shelf')}>Back to the shelf</LinkButton>
        <Button onClick={() => setTicking(true)}>Tick what we have</Button>
        <Button kind="main" onClick={() => setAdding(true)}>
          Add a thing
        </Button>
      </div>
      {playable.data && (
        <CupboardStrip playable={playable.data}>
          <LinkButton href={link('/plan?now')}>A session now</LinkButton>
        </CupboardStrip>
      )}
      {playable.error && <p className={panel.bad}>{messageOf(playable.error)}</p>}
      {away && awayThing && (
        <div className={styles.away}>
          <span>
            <b>One thing away:</b> {away.needed > 1 ? `${away.needed} ` : ''}
            {away.title.toLowerCase()}
            {awayThing.quantity > 0 ? ` (${awayThing.quantity} are here)` : ''} would open <b className={panel.num}>{away.games.length}</b>{' '}
            {away.games.length === 1 ? 'game' : 'games'} more
            {away.learners.length > 0 && `, ${forWhom(away.learners, playable.data!.children.length)}`}.
          </span>
          <span className={panel.spring} />
          <Button onClick={() => stock.mutate({ kind: awayThing, said: hereAre(awayThing, away.needed) })}>
            {away.needed > 1 ? `We have ${away.needed}` : 'We have it'}
          </Button>
          <Button kind="plain" onClick={() => setOpened(away.kind)}>
            use something else
          </Button>
        </div>
      )}
      <div className={styles.cupboard}>
        <nav className={styles.drawers} aria-label="Bins and drawers">
          {drawers.map((d, i) => (
            <button key={d.title} type="button" aria-pressed={d.title === here.title} onClick={() => setDrawer(d.title)}>
              <b className={styles.drawerNumber}>{d.title === spare ? '+' : i + 1}</b>
              <span className={styles.plate}>
                <span>{d.title}</span>
                <span className={styles.marks}>
                  {d.things.map((t) => (
                    <StateMark key={t.id} state={markOf(t)} />
                  ))}
                </span>
              </span>
              <span className={panel.num}>{d.things.length}</span>
            </button>
          ))}
          <p className={styles.legend}>
            {(['number', 'plenty', 'unsure', 'none', 'incomplete'] as const).map((m) => (
              <span key={m}>
                <StateMark state={m} /> {markWords[m]}
              </span>
            ))}
          </p>
          <p className={`${panel.soft} ${panel.small}`}>On a picture: digits count, P plenty, ? not sure, 0 none, Enter opens it.</p>
        </nav>
        <div className={styles.cells} onKeyDown={onArrows}>
          {here.things.map((t) => (
            <ThingCell
              key={t.id}
              thing={t}
              standIn={standInFor(t)}
              lentWords={lentWords(t)}
              onTell={(said) => stock.mutate({ kind: t, said })}
              onOpen={() => setOpened(t.id)}
            />
          ))}
          <button type="button" className={styles.something} onClick={() => setAdding(true)}>
            <span aria-hidden="true">+</span>
            <b>Something else in {here.title.toLowerCase()}?</b>
            <span className={panel.soft}>Name it in your words.</span>
          </button>
        </div>
      </div>
      {chosen && (
        <ThingDialog
          key={chosen.id}
          thing={chosen}
          bins={bins.data?.items.map((b) => b.title) ?? []}
          substitutes={substitutes.data?.items ?? []}
          onClose={() => setOpened(null)}
        />
      )}
      {adding && <AddThing drawer={here.title} onClose={() => setAdding(false)} />}
    </>
  );
}
