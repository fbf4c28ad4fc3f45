import type { AskedWire } from '../../contract/wire/recognise';
import { lazy, Suspense, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { singleKeysOn } from '../frame/keys';
import { useMechanisms } from '../game/useMechanism';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { Answers } from './Answers';
import { OtherNumbers } from './OtherNumbers';
import { QueueList } from './QueueList';
import styles from './recognise.module.css';
import { RowWords } from './RowWords';
import { StepsOnly } from './StepsOnly';
import { type Mark, useQueue } from './useQueue';

// Comes when it is asked for: it brings all rule families along.
const Pictures = lazy(async () => ({ default: (await import('./Pictures')).Pictures }));

export default function RecogniseView() {
  return (
    <App>
      <Recognise />
    </App>
  );
}

type Opened = 'pictures' | 'numbers' | 'steps' | null;
type Known = { mechanism: string; parameters: Record<string, unknown> } | { declared: { skill: string }[] };

/** One row of the shelf after another: is this how we play it? */
function Recognise() {
  const tell = useTell();
  const queue = useQueue();
  const mechanisms = useMechanisms();
  const [chosen, setChosen] = useState<string | null>(null);
  const [guessAt, setGuessAt] = useState(0);
  const [opened, setOpened] = useState<Opened>(null);
  /** The last answer; it may still be on its way when it is taken back. */
  const last = useRef<{ id: string; change: Promise<string> } | null>(null);
  const { entries } = queue;
  const at = Math.max(
    0,
    chosen === null ? entries.findIndex((e) => e.mark === 'to-do') : entries.findIndex((e) => e.row.variant === chosen),
  );
  const entry = entries[at];
  const row = entry?.row;
  const guess = row?.guesses[guessAt];
  const family = useMemo(() => mechanisms?.find((m) => m.id === guess?.mechanism), [mechanisms, guess?.mechanism]);

  const go = (id: string | null): void => {
    setChosen(id);
    setGuessAt(0);
    setOpened(null);
  };
  const next = (after: number, leaving: string): void => {
    const open = [...entries.slice(after + 1), ...entries.slice(0, after)].find((e) => e.mark === 'to-do' && e.row.variant !== leaving);
    go(open?.row.variant ?? null);
  };
  /** Marks at once and writes behind; what fails comes back with its reason. */
  const answer = async (of: AskedWire, as: Mark, write: () => Promise<{ change: string }>): Promise<void> => {
    queue.mark(of.variant, as);
    next(at, of.variant);
    try {
      const change = write().then((done) => done.change);
      last.current = { id: of.variant, change };
      await change;
      void queue.refresh();
    } catch (error) {
      queue.mark(of.variant, 'to-do');
      go(of.variant);
      tell(messageOf(error), { bad: true });
    }
  };
  const know = (of: AskedWire, known: Known): void =>
    void answer(of, 'done', () =>
      call('POST /variants/{id}/known', { params: { id: of.variant }, body: { version: of.version, ...known } }),
    );
  const yes = (): void => {
    if (row && guess && entry.mark !== 'done')
      know(row, { mechanism: guess.mechanism, parameters: guess.parameters as Record<string, unknown> });
  };
  const later = (): void => {
    if (!row || entry.mark === 'done') return;
    queue.mark(row.variant, 'later');
    next(at, row.variant);
  };
  const noGame = (): void => {
    if (row && entry.mark !== 'done') void answer(row, 'no-game', () => call('POST /games/{id}/retire', { params: { id: row.game } }));
  };
  const undo = async (): Promise<void> => {
    const step = last.current;
    if (!step) return;
    last.current = null;
    try {
      await call('POST /undo', { body: { change: await step.change } });
      await queue.refresh();
      queue.mark(step.id, 'to-do');
      go(step.id);
    } catch (error) {
      tell(messageOf(error), { bad: true });
    }
  };
  const keys: Readonly<Record<string, () => void>> = {
    Enter: yes,
    n: () => family && setOpened('numbers'),
    p: () => setOpened('pictures'),
    s: () => setOpened('steps'),
    l: later,
    x: noGame,
    z: () => void undo(),
    ArrowDown: () => go(entries[Math.min(entries.length - 1, at + 1)]?.row.variant ?? null),
    ArrowUp: () => go(entries[Math.max(0, at - 1)]?.row.variant ?? null),
    ...Object.fromEntries([1, 2, 3, 4].map((n) => [String(n), () => row && n <= row.guesses.length && setGuessAt(n - 1)])),
  };
  const current = useRef(keys);
  // As soon as a row is seen its keys answer it: a key that comes quickly is not lost.
  useLayoutEffect(() => void (current.current = keys));
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      const target = e.target as HTMLElement;
      if (e.ctrlKey || e.metaKey || e.altKey || target.closest('input, select, textarea, dialog, [role="dialog"]')) return;
      if (e.key.length === 1 && !singleKeysOn()) return;
      if (e.key === 'Enter' && target.closest('button, a, summary')) return;
      const run = current.current[e.key.length === 1 ? e.key.toLowerCase() : e.key];
      if (!run) return;
      // Letters answer here; elsewhere they go to other places.
      e.preventDefault();
      e.stopImmediatePropagation();
      run();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);

  if (queue.query.error) return <Failure message={messageOf(queue.query.error)} />;
  if (!queue.query.data || !mechanisms) return <Loading what="Reading your rows …" />;
  const answered = entries.filter((e) => e.mark === 'done' || e.mark === 'no-game').length;
  return (
    <>
      <div className={panel.head}>
        <h1>How is each played?</h1>
        {entries.length > 0 && (
          <p className={styles.count} aria-live="polite">
            <b>{answered}</b> of {entries.length} answered
            {queue.left > 0 && (
              <>
                , about <b>{queue.minutesLeft}</b> {queue.minutesLeft === 1 ? 'minute' : 'minutes'} to go
              </>
            )}
          </p>
        )}
        <span className={panel.spring} />
        <LinkButton href={link('/shelf')}>{queue.left > 0 ? 'Stop here, go on later' : 'To the shelf'}</LinkButton>
      </div>
      {!row || queue.left + entries.filter((e) => e.mark === 'later').length === 0 ? (
        <Empty title={entries.length === 0 ? 'Every game has been answered' : 'That was the last one'}>
          <p>
            {entries.length === 0
              ? 'Of each version on your shelf somebody has said how it is played, or what it practises.'
              : 'What you said counts as guessed until a game is played. Its page has every number.'}
          </p>
          <LinkButton kind="main" href={link('/plan')}>
            To the plan
          </LinkButton>
        </Empty>
      ) : (
        <div className={styles.columns}>
          <QueueList entries={entries} at={at} onChoose={(id) => go(id)} />
          <section className={styles.card} aria-label={row.title}>
            <RowWords row={row} decided={guess?.decided ?? row.skills.flatMap((s) => s.decided)} />
            {opened === 'pictures' || !guess ? (
              <div className={styles.pictures}>
                {!guess && <p className={styles.verdict}>No family of ours speaks from these words. What do you see when it is played?</p>}
                <Suspense fallback={<Loading what="Drawing the pictures …" />}>
                  <Pictures
                    key={row.variant}
                    mechanisms={mechanisms}
                    guess={guess?.mechanism}
                    onLeave={() => setOpened(guess ? null : 'steps')}
                    leaveWords={guess ? 'Back to the proposal' : 'I only know what it teaches'}
                    onChoose={(mechanism, parameters) => know(row, { mechanism, parameters })}
                  />
                </Suspense>
                {!guess && (
                  <div className={panel.row}>
                    <Button onClick={() => setOpened('steps')}>Only what it teaches (S)</Button>
                    <Button onClick={later}>Later (L)</Button>
                    <Button onClick={noGame}>Not a game (X)</Button>
                  </div>
                )}
              </div>
            ) : (
              family && (
                <Answers
                  row={row}
                  guess={guess}
                  family={family}
                  done={entry.mark === 'done'}
                  onYes={yes}
                  onNumbers={() => setOpened('numbers')}
                  onPictures={() => setOpened('pictures')}
                  onSteps={() => setOpened('steps')}
                />
              )
            )}
          </section>
          <aside className={styles.side}>
            {row.guesses.length > 1 && (
              <>
                <h2>Or one of these?</h2>
                <ol className={styles.others}>
                  {row.guesses.map(
                    (g, i) =>
                      i !== guessAt && (
                        <li key={g.mechanism}>
                          <button type="button" onClick={() => setGuessAt(i)}>
                            <kbd>{i + 1}</kbd>
                            <span>
                              <b>{g.twin && g.twin.differs.length === 0 ? `${g.twin.title}, ${g.twin.versionTitle}` : g.title}</b>
                              {mechanisms.find((m) => m.id === g.mechanism)?.words[1]}
                            </span>
                          </button>
                        </li>
                      ),
                  )}
                </ol>
              </>
            )}
            <dl className={styles.keys}>
              <dt>↑ ↓</dt>
              <dd>other rows</dd>
              <dt>L</dt>
              <dd>
                <button type="button" onClick={later}>
                  later
                </button>
              </dd>
              <dt>Z</dt>
              <dd>
                <button type="button" onClick={() => void undo()}>
                  undo
                </button>
              </dd>
              <dt>X</dt>
              <dd>
                <button type="button" onClick={noGame}>
                  not a game
                </button>
              </dd>
            </dl>
          </aside>
        </div>
      )}
      {row && opened === 'steps' && (
        <StepsOnly
          row={row}
          onClose={() => setOpened(null)}
          onSave={(skills) => know(row, { declared: skills.map((skill) => ({ skill })) })}
        />
      )}
      {row && guess && family && opened === 'numbers' && (
        <OtherNumbers
          mechanism={family}
          start={guess.parameters}
          onClose={() => setOpened(null)}
          onSave={(parameters) => know(row, { mechanism: family.id, parameters })}
        />
      )}
    </>
  );
}
