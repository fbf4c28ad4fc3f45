import type { ProfileWire } from '../../contract/wire/practice';
import type { VariantWire } from '../../contract/wire/shelf';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { DoseBars } from '../../ui/charts/DoseBars';
import { FactGrid } from '../../ui/charts/FactGrid';
import { LengthChart } from '../../ui/charts/LengthChart';
import { ShareBar } from '../../ui/charts/ShareBar';
import { Failure, Loading, Progress } from '../../ui/Empty';
import { call, finished } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { type Operation, operations } from '../../core/items/item';
import { usualSeats } from '../../core/simulate/usualSeats';
import { aroundMinutes, DEFAULT_TIME } from '../../core/simulate/timeModel';
import { operationHue, operationWords } from '../../text/itemText';
import { cappedWorthSaying, endlessWords, slotMinutes } from './measureRows';
import { factGrids, signs } from './factGrids';
import { CountRound } from './CountRound';
import { Fair } from './Fair';
import { MixedTable } from './MixedTable';
import { Readings } from './Readings';
import { Suits } from './Suits';
import styles from './game.module.css';

const barsShown = 7;
const finer = { length: 0.003, share: 0.002 };

/** Shares below this are not drawn. */
const leastShare = 0.005;

/** How wide a cell is where it holds more than one number. */
function byWords([a, b]: readonly [number, number]): string {
  if (a === 1 && b === 1) return '';
  const each = (n: number): string => (n === 1 ? 'ones' : n === 10 ? 'tens' : 'hundreds');
  return a === b ? `, put together by ${each(a)}` : `, put together by ${each(a)} across and ${each(b)} upward`;
}

/** What one version practises at a table of so many: every number with its error and how it was made. */
export function Practice({
  variant,
  others,
  onSaved,
}: {
  variant: VariantWire;
  others: readonly VariantWire[];
  onSaved: (id: string, change: string) => void;
}) {
  const skills = useSkills();
  const client = useQueryClient();
  const tell = useTell();
  const [seats, setSeats] = useState(usualSeats(variant.players));
  const [counting, setCounting] = useState(false);
  const [running, setRunning] = useState<number | null>(null);
  const [sharper, setSharper] = useState<{ games: number; mean: number; error: number } | null>(null);
  const stopper = useRef<AbortController | null>(null);
  const profile = useQuery({
    queryKey: ['profile', variant.id, variant.version, seats],
    queryFn: () => call('GET /variants/{id}/profile', { params: { id: variant.id }, query: { seats: seats, minutes: slotMinutes } }),
  });
  if (profile.error) return <Failure message={messageOf(profile.error)} />;
  if (!profile.data || !skills) return <Loading what="Playing it some thousand times …" />;
  const p = profile.data;
  const countDialog = counting && (
    <CountRound
      variant={variant}
      skills={skills}
      onClose={() => setCounting(false)}
      onSaved={(id, change) => {
        setCounting(false);
        onSaved(id, change);
      }}
    />
  );
  if (p.source === 'none')
    return (
      <section className={panel.sheet}>
        <h2>Nobody has said yet what it practises</h2>
        <p>
          Choose how it plays under “Change version”, and it is played by the machine. Or name the skills there yourself, or count one round
          at a real table.
        </p>
        <Button onClick={() => setCounting(true)}>Count one round</Button>
        {countDialog}
      </section>
    );
  const bars = p.doses
    .filter((d) => d.perTenMinutes >= 0.3)
    .slice(0, barsShown)
    .map((d) => ({
      id: d.skill,
      title: skills.title(d.skill),
      hue: skills.strandOf(d.skill)?.hue ?? 'slate',
      value: d.perTenMinutes,
      error: d.standardError,
    }));

  async function sharpen(): Promise<void> {
    stopper.current = new AbortController();
    setRunning(0);
    try {
      const body = { mechanism: variant.mechanism!, parameters: variant.parameters, seats, seed: 7, precision: finer };
      const result = await finished('POST /simulations', { query: { wait: 0 }, body }, setRunning, stopper.current.signal);
      setSharper({ games: result.games, mean: result.turns.mean, error: result.turns.standardError });
      void client.invalidateQueries({ queryKey: ['profile', variant.id] });
    } catch (error) {
      tell(messageOf(error), { bad: true });
    } finally {
      setRunning(null);
    }
  }

  const choose = variant.players.max > variant.players.min && (
    <div className={styles.seats} role="group" aria-label="Players">
      {Array.from({ length: Math.min(6, variant.players.max) - variant.players.min + 1 }, (_, i) => variant.players.min + i).map((n) => (
        <button key={n} type="button" aria-pressed={n === seats} onClick={() => setSeats(n)}>
          {n}
        </button>
      ))}
    </div>
  );

  return (
    <div className={styles.practice}>
      <Readings variant={variant} profile={p} seats={seats} first={bars[0]} choose={choose} />
      <section className={panel.sheet}>
        <h2>What each child practises in ten minutes</h2>
        <DoseBars bars={bars} declared={p.source === 'declared' || p.source === 'words'} />
        <p className={`${panel.soft} ${panel.small}`}>
          {p.source === 'words'
            ? 'Nobody has said yet how it plays: carefully taken from the words of its row, so that it can be planned.'
            : p.source === 'declared'
              ? p.counted
                ? 'Counted by a helper at a real table; whiskers ± √n answers.'
                : 'The owner’s own word; nobody has calculated or counted it.'
              : `Chances to practise, not proof. Calculated from the rules: ${p.games.toLocaleString('en')} simulated games of ${p.seats} typical ${p.seats === 1 ? 'player' : 'players'}; whiskers ± one standard error.`}
        </p>
        {p.source === 'calculated' && variant.declared.length > 0 && (
          <>
            <h3>{variant.declared.some((d) => d.counted) ? 'Counted at your table' : 'In your own word'}</h3>
            <DoseBars
              bars={variant.declared.slice(0, barsShown).map((d) => ({
                id: d.skill,
                title: skills.title(d.skill),
                hue: skills.strandOf(d.skill)?.hue ?? 'slate',
                value: d.perTenMinutes,
                error: d.counted ? d.perTenMinutes / Math.sqrt(d.counted) : null,
              }))}
              declared
            />
          </>
        )}
        <Button onClick={() => setCounting(true)}>Count one round</Button>
      </section>
      {countDialog}
      {p.source !== 'calculated' && <Suits variant={variant} />}
      {p.source === 'calculated' && (
        <>
          <section className={panel.sheet}>
            <h2>How long it lasts</h2>
            {(p.outcomes?.capped ?? 0) > cappedWorthSaying && (
              <p className={panel.bad} role="alert">
                {endlessWords(p.outcomes!.capped)} Change a number of the version.
              </p>
            )}
            <p>
              about <span className={panel.big}>{Math.round(p.minutes['0.5']!)}</span> min, typically <span className={styles.gapLeft} />
              <span className={panel.big}>{Math.round((p.endsInSlot ?? 0) * 100)} %</span> end inside {slotMinutes} min
            </p>
            <LengthChart histogram={p.minuteHistogram ?? []} slot={slotMinutes} />
            <p className={`${panel.soft} ${panel.small}`}>
              Four of five games take about {Math.round(p.minutes['0.1']!)} to {Math.round(p.minutes['0.9']!)} minutes. Seconds per answer
              are common practice, so minutes are no finer than that. With laying out and putting away about{' '}
              {Math.round(p.minutes['0.5']! + aroundMinutes(DEFAULT_TIME, false))} minutes of the round,{' '}
              {Math.round(p.minutes['0.5']! + aroundMinutes(DEFAULT_TIME, true))} when the game is new.
            </p>
            <details className={panel.small}>
              <summary>How sharp these numbers are</summary>
              <p className={panel.soft}>
                Over {p.games.toLocaleString('en')} simulated games: mean {p.minutes['mean']!.toFixed(1)} ±{' '}
                {p.minutes['standardError']!.toFixed(2)} minutes, {p.turns!.mean.toFixed(1)} ± {p.turns!.standardError.toFixed(2)} turns.
                The error is that of the sample alone, not of the seconds it is built on.
              </p>
            </details>
          </section>
          <Suits variant={variant} />
          <div className={styles.rest}>
            {factGrids(p.items).map(({ op, cells, facts, by }) => (
              <section key={op} className={panel.sheet}>
                <h2>Facts met, {operationWords[op as Operation] ?? op}: first number across, second upward</h2>
                <FactGrid cells={cells} sign={signs[op] ?? op} facts={facts} by={by} />
                <p className={`${panel.soft} ${panel.small}`}>
                  {facts.toLocaleString('en')} different facts in {p.games.toLocaleString('en')} games{byWords(by)}. Indigo crosses a ten
                  {op === 'add' || op === 'subtract'
                    ? `: ${((p.shares?.['crossing']?.mean ?? 0) * 100).toFixed(0)} ± ${((p.shares?.['crossing']?.standardError ?? 0) * 100).toFixed(1)} % of all practice`
                    : ''}
                  .
                </p>
              </section>
            ))}
            <section className={panel.sheet}>
              <h2>What the practice is made of</h2>
              <ShareBar
                label="Balance of operations"
                shares={operations
                  .filter((op) => (p.shares?.[op]?.mean ?? 0) >= leastShare)
                  .map((op) => ({
                    title: operationWords[op],
                    share: p.shares![op]!.mean,
                    error: p.shares![op]!.standardError,
                    fill: `var(--strand-${operationHue(op)})`,
                  }))}
              />
              {!waitingIsFixed(p) && (
                <>
                  <h2 className={styles.second}>Where the minutes go</h2>
                  <ShareBar
                    label="Minutes"
                    shares={[
                      { title: 'own turn', share: 1 - (p.waitingShare ?? 0), error: null, fill: 'var(--teal)' },
                      {
                        title: 'waiting for others',
                        share: p.waitingShare ?? 0,
                        error: p.measureErrors?.['waitingShare'] ?? null,
                        fill: 'var(--lamp)',
                      },
                    ]}
                  />
                </>
              )}
              <div className={styles.numbers}>
                <p>
                  <span className={panel.big}>{(p.measures['choices'] ?? 0).toFixed(1)}</span>
                  <br />
                  to choose from, ± {(p.measureErrors?.['choices'] ?? 0).toFixed(2)}
                </p>
                <p>
                  <span className={panel.big}>{((p.measures['movelessShare'] ?? 0) * 100).toFixed(1)} %</span>
                  <br />
                  turns with nothing to do, ± {((p.measureErrors?.['movelessShare'] ?? 0) * 100).toFixed(2)}
                </p>
              </div>
              <div className={panel.row}>
                {running === null ? (
                  <Button onClick={() => void sharpen()}>Play it more often</Button>
                ) : (
                  <>
                    <Progress share={running} label="playing" />
                    <Button onClick={() => stopper.current?.abort()}>Stop</Button>
                  </>
                )}
                {sharper && (
                  <span className={panel.small}>
                    {sharper.games.toLocaleString('en')} games: {sharper.mean.toFixed(2)} ± {sharper.error.toFixed(3)} turns
                  </span>
                )}
              </div>
            </section>
            <Fair variant={variant} seats={seats} />
            <MixedTable variant={variant} others={others} />
          </div>
        </>
      )}
    </div>
  );
}

/** In games in turn everybody waits for all the others: so many of so many, whatever the game, and no finding about it. */
const waitingIsFixed = (p: ProfileWire): boolean => Math.abs((p.waitingShare ?? 0) - (1 - 1 / p.seats)) < 1e-6;
