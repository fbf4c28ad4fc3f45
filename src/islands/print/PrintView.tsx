import '@fontsource/andika/400.css';
import '@fontsource/andika/700.css';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { cautionsOnce } from '../../core/safety/hazards';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { Tabs } from '../../ui/Tabs';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { keepHow, keptHow, printLists, type PrintHow } from '../shared/printHow';
import { useKept } from '../shared/useKept';
import { Checked } from './Checked';
import { OneKind } from './OneKind';
import { useLaid } from './useLaid';
import { usePrinting } from './usePrinting';
import { BinLabels } from './BinLabels';
import { GameNeeds, type GameSet } from './GameNeeds';
import { MadeSets } from './MadeSets';
import styles from './print.module.css';
import { PrintQueue } from './PrintQueue';
import { askedOf, freshSet, type MadeWire, type MarkId, type NeededWire, type OpenSet, type QueuedSet, sameSet } from './printSettings';
import { SheetStage } from './SheetStage';

export default function PrintView({
  sheet,
  variant,
  given = null,
  whose = null,
}: {
  sheet: string | null;
  variant: string | null;
  given?: string | null;
  whose?: string | null;
}) {
  return (
    <App>
      <Desk first={sheet ?? 'number-cards'} variant={variant} given={given} whose={whose} />
    </App>
  );
}

/** Settings that a link brings; nothing where they cannot be read. */
function settingsIn(given: string | null): Readonly<Record<string, unknown>> {
  try {
    const read: unknown = JSON.parse(given ?? '{}');
    return read && typeof read === 'object' && !Array.isArray(read) ? (read as Record<string, unknown>) : {};
  } catch {
    return {};
  }
}

function Desk({
  first,
  variant: asked,
  given,
  whose,
}: {
  first: string;
  variant: string | null;
  given: string | null;
  whose: string | null;
}) {
  const tell = useTell();
  const sheets = useQuery({ queryKey: ['sheets'], queryFn: () => call('GET /sheets'), staleTime: Infinity });
  const country = useQuery({ queryKey: ['countries'], queryFn: () => call('GET /countries') });
  const [how, setHow] = useState<PrintHow>(keptHow);
  const [way, setWay] = useState<'kind' | 'game' | 'labels'>(asked ? 'game' : 'kind');
  const [variant, setVariant] = useState(asked);
  const [players, setPlayers] = useState(3);
  const [open, setOpen] = useState<OpenSet>(() => ({
    ...freshSet(first),
    parameters: settingsIn(given),
    label: (whose ?? '').slice(0, 80),
  }));
  const [queue, setQueue] = useKept<readonly QueuedSet[]>(printLists.waiting, []);
  const [chosen, setChosen] = useState<number | null>(null);
  const next = useRef(1 + Math.max(0, ...queue.map((s) => s.id)));
  const home = country.data?.items.find((c) => c.id === country.data.country)?.paper ?? 'a4';
  const { sheetNow, error, busy, setOf } = useLaid(open, how, home);
  /** Whether the sheet on the desk is what the open tab is about. */
  const lies = way === 'kind' || (way === 'game' && variant !== null && open.variant === variant);
  const alone = lies ? setOf(0) : null;
  const now: readonly QueuedSet[] = queue.length > 0 ? queue : alone ? [alone] : [];
  const leave = (sets: readonly QueuedSet[]): void => setQueue(queue.filter((s) => !sets.some((m) => sameSet(m, s))));
  const printing = usePrinting(leave, (replaced) => {
    leave(replaced);
    setOpen({ ...open, only: null });
    tell('Cut them and put them to the others: they are the very same pieces.');
    const of = replaced.find((s) => s.variant !== null)?.variant;
    if (!of) return;
    setVariant(of);
    setWay('game');
  });
  if (sheets.error) return <Failure message={messageOf(sheets.error)} />;
  if (!sheets.data) return <Loading what="Warming the printer …" />;
  const kinds = sheets.data.items;
  const kind = kinds.find((k) => k.id === open.sheet) ?? kinds[0]!;
  const turnHow = (h: PrintHow): void => {
    setHow(h);
    keepHow(h);
  };
  const need = (s: Pick<NeededWire, 'sheet' | 'parameters' | 'copies'>): OpenSet => ({
    ...freshSet(s.sheet),
    parameters: s.parameters,
    copies: s.copies,
    variant,
  });
  const queued = ({ set: s, of, mark, label }: GameSet): QueuedSet => ({
    id: next.current++,
    sheet: s.sheet,
    title: s.title,
    asked: askedOf({ ...how, paper: how.paper ?? home }, { parameters: s.parameters, copies: s.copies, mark, label }),
    variant: of,
    sheets: s.sheets,
    cuts: s.cuts,
    minutes: s.minutes,
  });
  const again = (m: MadeWire): void => {
    setWay('kind');
    setOpen({
      sheet: m.sheet,
      parameters: m.parameters,
      seed: m.seed,
      copies: m.copies,
      mark: m.mark as MarkId,
      label: m.label,
      variant: m.variant,
      only: null,
    });
    setHow({ ...how, paper: m.paper as 'a4' | 'letter', form: m.form as PrintHow['form'] });
  };
  const cautions = cautionsOnce(kinds.filter((k) => now.some((s) => s.sheet === k.id)).flatMap((k) => k.cautions));
  return (
    <>
      <div className={panel.head}>
        <h1>Printer’s desk</h1>
        {lies && <span className={panel.soft}>{kind.about}</span>}
        <span className={panel.spring} />
        <LinkButton href={link('/prep')}>Gather</LinkButton>
        <LinkButton href={link('/prep?ahead')}>The days ahead</LinkButton>
      </div>
      <div className={styles.desk}>
        <section className={`${panel.sheet} ${styles.controls}`} aria-label="What to print">
          <Tabs
            label="What to print"
            className={styles.ways}
            tabs={[
              { id: 'kind', title: 'One kind' },
              { id: 'game', title: 'A game' },
              { id: 'labels', title: 'Labels' },
            ]}
            chosen={way}
            onChoose={setWay}
          >
            {way === 'labels' ? (
              <BinLabels />
            ) : way === 'game' ? (
              <GameNeeds
                variant={variant}
                players={players}
                onVariant={(id) => setVariant(id || null)}
                onPlayers={setPlayers}
                shown={open.variant === variant ? open.sheet : null}
                onShow={(s) => setOpen(need(s))}
                onTurn={(s) => {
                  setOpen(need(s));
                  setWay('kind');
                }}
                onMissing={(s) => {
                  setOpen({ ...need(s), copies: 1, only: [] });
                  setWay('kind');
                }}
                onAll={(all) => setQueue([...queue, ...all.map(queued)])}
                onKind={(id) => {
                  setOpen(freshSet(id));
                  setWay('kind');
                }}
              />
            ) : (
              <OneKind
                kinds={kinds}
                kind={kind}
                open={open}
                how={how}
                paper={how.paper ?? home}
                laid={sheetNow}
                onKind={(id) => setOpen(freshSet(id))}
                onOpen={setOpen}
                onHow={turnHow}
              />
            )}
          </Tabs>
          {lies && (
            <Checked
              error={error}
              checked={sheetNow?.checked ?? null}
              answerPages={sheetNow?.answerPages ?? 0}
              onUsual={Object.keys(open.parameters).length > 0 ? () => setOpen({ ...open, parameters: {} }) : null}
            />
          )}
        </section>
        {!lies ? (
          <div className={styles.stage}>
            <Empty title="The desk is clear">
              <p>
                {way === 'labels' ? 'Labels come as a file of their own.' : 'Choose a version that needs paper: its first sheet lies here.'}
              </p>
            </Empty>
          </div>
        ) : sheetNow ? (
          <SheetStage
            key={`${open.sheet} ${how.paper ?? home}`}
            laid={sheetNow}
            busy={busy}
            only={open.only}
            onOnly={(only) => setOpen({ ...open, only, ...(open.only ? {} : { copies: 1 }) })}
          />
        ) : (
          <div className={styles.stage}>{error ? null : <Loading what="Laying it out …" />}</div>
        )}
        <PrintQueue
          sets={now}
          waiting={queue.length > 0}
          chosen={chosen}
          cautions={cautions}
          busy={printing.busy}
          share={printing.share}
          printed={printing.printed}
          onChoose={(id) => {
            const s = queue.find((q) => q.id === id)!;
            setChosen(id);
            setWay('kind');
            setOpen({
              sheet: s.sheet,
              parameters: s.asked.parameters ?? {},
              seed: s.asked.seed ?? 1,
              copies: s.asked.copies ?? 1,
              mark: s.asked.mark ?? 'none',
              label: s.asked.label ?? '',
              variant: s.variant,
              only: s.asked.only ?? null,
            });
          }}
          onRemove={(id) => setQueue(queue.filter((s) => s.id !== id))}
          onPrint={(together) => printing.print(now, together)}
          onStop={printing.stop}
          onMade={printing.keep}
          onNotMade={printing.forget}
          onAdd={
            way === 'kind' && alone
              ? () => {
                  const id = next.current++;
                  setQueue([...queue, { ...alone, id }]);
                  setChosen(id);
                }
              : null
          }
        />
      </div>
      <MadeSets onAgain={again} />
    </>
  );
}
