import '@fontsource/andika/400.css';
import '@fontsource/andika/700.css';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useRef, useState } from 'react';
import { cautionsOnce } from '../../core/safety/hazards';
import { Failure, Loading } from '../../ui/Empty';
import { Field } from '../../ui/Field';
import { Button } from '../../ui/Button';
import { LinkButton } from '../../ui/LinkButton';
import { Tabs } from '../../ui/Tabs';
import { ApiError, call, fileOf, link, saveFile } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useLast } from '../shared/useLast';
import { useTellUndo } from '../shared/useTellUndo';
import { BinLabels } from './BinLabels';
import { GameNeeds } from './GameNeeds';
import { MadeSets } from './MadeSets';
import styles from './print.module.css';
import { PrintQueue } from './PrintQueue';
import { askedOf, keepHow, keptHow, type MadeWire, type MarkId, type NeededWire, type PrintHow, type QueuedSet } from './printSettings';
import { HowToPrint, SheetSettings } from './SheetControls';
import { SheetStage } from './SheetStage';

export default function PrintView({
  sheet,
  variant,
  given = null,
}: {
  sheet: string | null;
  variant: string | null;
  given?: string | null;
}) {
  return (
    <App>
      <Desk first={sheet ?? 'number-cards'} variant={variant} given={given} />
    </App>
  );
}

/** The set that is open on the desk. */
interface Open {
  readonly sheet: string;
  readonly parameters: Readonly<Record<string, unknown>>;
  readonly seed: number;
  readonly copies: number;
  readonly mark: MarkId;
  readonly label: string;
  readonly variant: string | null;
}
const fresh = (sheet: string): Open => ({ sheet, parameters: {}, seed: 1, copies: 1, mark: 'none', label: '', variant: null });

/** Settings that a link brings; nothing where they cannot be read. */
function settingsIn(given: string | null): Readonly<Record<string, unknown>> {
  try {
    const read: unknown = JSON.parse(given ?? '{}');
    return read && typeof read === 'object' && !Array.isArray(read) ? (read as Record<string, unknown>) : {};
  } catch {
    return {};
  }
}

function Desk({ first, variant: asked, given }: { first: string; variant: string | null; given: string | null }) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const sheets = useQuery({ queryKey: ['sheets'], queryFn: () => call('GET /sheets'), staleTime: Infinity });
  const country = useQuery({ queryKey: ['countries'], queryFn: () => call('GET /countries') });
  const [how, setHow] = useState<PrintHow>(keptHow);
  const [way, setWay] = useState<'kind' | 'game' | 'labels'>(asked ? 'game' : 'kind');
  const [variant, setVariant] = useState(asked);
  const [players, setPlayers] = useState(3);
  const [open, setOpen] = useState<Open>(() => ({ ...fresh(first), parameters: settingsIn(given) }));
  const [queue, setQueue] = useState<readonly QueuedSet[]>([]);
  const [chosen, setChosen] = useState<number | null>(null);
  const [printed, setPrinted] = useState<readonly QueuedSet[]>([]);
  const stop = useRef<AbortController | null>(null);
  const next = useRef(1);
  const home = country.data?.items.find((c) => c.id === country.data.country)?.paper ?? 'a4';
  const body = askedOf(how, {
    parameters: { ...open.parameters },
    seed: open.seed,
    copies: open.copies,
    mark: open.mark,
    label: open.label,
  });
  const wanted = useDeferredValue(JSON.stringify([open.sheet, body]));
  const laid = useQuery({
    queryKey: ['laid', wanted],
    queryFn: () => {
      const [id, request] = JSON.parse(wanted) as [string, typeof body];
      return call('POST /sheets/{id}/layout', { params: { id }, body: request });
    },
    retry: false,
    staleTime: Infinity,
  });
  const sheetNow = useLast(laid.data);
  const setOf = (id: number): QueuedSet => ({
    id,
    sheet: open.sheet,
    title: sheetNow?.title ?? open.sheet,
    asked: { ...body, paper: how.paper ?? home, seed: sheetNow?.seed ?? open.seed },
    variant: open.variant,
    sheets: sheetNow?.sheets ?? 0,
    cuts: sheetNow?.cuts ?? 0,
    minutes: sheetNow?.minutes ?? 0,
  });
  const now: readonly QueuedSet[] = queue.length > 0 ? queue : sheetNow && !laid.error ? [setOf(0)] : [];
  const print = useMutation({
    mutationFn: async (together: boolean) => {
      stop.current = new AbortController();
      const sets = now.map((s) => ({ sheet: s.sheet, ...s.asked }));
      if (together)
        saveFile(
          await fileOf('POST /printouts', { body: { sets, title: now.length === 1 ? now[0]!.title : 'Sheets' } }, stop.current.signal),
          'sheets.pdf',
        );
      else
        for (const [i, s] of now.entries())
          saveFile(
            await fileOf('POST /sheets/{id}/pdf', { params: { id: s.sheet }, body: s.asked }, stop.current.signal),
            `${i + 1}-${s.sheet}.pdf`,
          );
    },
    onSuccess: () => setPrinted(now),
    onError: (e) => {
      if (!(e instanceof ApiError && e.problem.code === 'cancelled')) tell(messageOf(e), { bad: true });
    },
  });
  const made = useMutation({
    mutationFn: async (sets: readonly QueuedSet[]) => {
      let change = '';
      for (const s of sets) ({ change } = await call('POST /made', { body: { ...s.asked, sheet: s.sheet, variant: s.variant } }));
      return { change, n: sets.length };
    },
    onSuccess: ({ change, n }) => {
      void client.invalidateQueries();
      setQueue([]);
      setPrinted([]);
      tellUndo(n === 1 ? 'It stands in Things now.' : `${n} sets stand in Things now; undo takes the last one back.`, change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (sheets.error) return <Failure message={messageOf(sheets.error)} />;
  if (!sheets.data) return <Loading what="Warming the printer …" />;
  const kinds = sheets.data.items;
  const kind = kinds.find((k) => k.id === open.sheet) ?? kinds[0]!;
  const turnHow = (h: PrintHow): void => {
    setHow(h);
    keepHow(h);
  };
  const need = (s: NeededWire): Open => ({ ...fresh(s.sheet), parameters: s.parameters, copies: s.copies, variant });
  const queued = (s: NeededWire): QueuedSet => ({
    id: next.current++,
    sheet: s.sheet,
    title: s.title,
    asked: askedOf({ ...how, paper: how.paper ?? home }, { parameters: s.parameters, copies: s.copies }),
    variant,
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
    });
    setHow({ ...how, paper: m.paper as 'a4' | 'letter', form: m.form as PrintHow['form'] });
  };
  const cautions = cautionsOnce(kinds.filter((k) => now.some((s) => s.sheet === k.id && s.cuts > 0)).flatMap((k) => k.cautions));
  return (
    <>
      <div className={panel.head}>
        <h1>Printer’s desk</h1>
        <span className={panel.soft}>{kind.about}</span>
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
                onAll={(all) => setQueue([...queue, ...all.map(queued)])}
              />
            ) : (
              <>
                <Field label="Sheet">
                  {(p) => (
                    <select {...p} value={kind.id} onChange={(e) => setOpen(fresh(e.target.value))}>
                      {[...new Set(kinds.map((k) => k.group))].map((group) => (
                        <optgroup key={group} label={group}>
                          {kinds
                            .filter((k) => k.group === group)
                            .map((k) => (
                              <option key={k.id} value={k.id}>
                                {k.title}
                              </option>
                            ))}
                        </optgroup>
                      ))}
                    </select>
                  )}
                </Field>
                <SheetSettings kind={kind} parameters={open.parameters} onChange={(parameters) => setOpen({ ...open, parameters })} />
                <div className={styles.settings}>
                  <Field label="Sets">
                    {(p) => (
                      <input
                        {...p}
                        type="number"
                        min={1}
                        max={200}
                        value={open.copies}
                        onChange={(e) => setOpen({ ...open, copies: Math.max(1, Number(e.target.value)) })}
                      />
                    )}
                  </Field>
                  <Field label="Whose, at the foot">
                    {(p) => (
                      <input {...p} maxLength={80} value={open.label} onChange={(e) => setOpen({ ...open, label: e.target.value })} />
                    )}
                  </Field>
                </div>
                <HowToPrint
                  how={how}
                  paper={how.paper ?? home}
                  mark={open.mark}
                  seed={sheetNow?.seed ?? open.seed}
                  cut={(sheetNow?.cuts ?? 0) > 0}
                  onHow={turnHow}
                  onMark={(mark) => setOpen({ ...open, mark })}
                  onSeed={(seed) => setOpen({ ...open, seed })}
                />
              </>
            )}
          </Tabs>
          {way !== 'labels' && (
            <Checked
              error={laid.error}
              checked={sheetNow?.checked ?? null}
              onUsual={Object.keys(open.parameters).length > 0 ? () => setOpen({ ...open, parameters: {} }) : null}
            />
          )}
        </section>
        {sheetNow ? (
          <SheetStage key={`${open.sheet} ${how.paper ?? home}`} laid={sheetNow} busy={laid.isFetching} />
        ) : (
          <div className={styles.stage}>{laid.error ? null : <Loading what="Laying it out …" />}</div>
        )}
        <PrintQueue
          sets={now}
          waiting={queue.length > 0}
          chosen={chosen}
          cautions={cautions}
          busy={print.isPending || made.isPending}
          printed={printed.length > 0}
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
            });
          }}
          onRemove={(id) => setQueue(queue.filter((s) => s.id !== id))}
          onPrint={(together) => print.mutate(together)}
          onStop={() => stop.current?.abort()}
          onMade={() => made.mutate(printed)}
          onAdd={
            way === 'kind' && sheetNow && !laid.error
              ? () => {
                  const id = next.current++;
                  setQueue([...queue, setOf(id)]);
                  setChosen(id);
                  setPrinted([]);
                }
              : null
          }
        />
      </div>
      <MadeSets onAgain={again} />
    </>
  );
}

/** What was looked at before it was drawn, or what is wrong and what would help. */
function Checked({ error, checked, onUsual }: { error: unknown; checked: string | null; onUsual: (() => void) | null }) {
  if (error)
    return (
      <div className={styles.wrong} role="alert">
        <b>Not like this</b>
        <p>{messageOf(error)}</p>
        {onUsual && <Button onClick={onUsual}>Back to its usual settings</Button>}
      </div>
    );
  return (
    checked && (
      <div className={styles.checked}>
        <b>Checked</b>
        <p>{checked}</p>
      </div>
    )
  );
}
