import { Button } from '../../ui/Button';
import { Progress } from '../../ui/Empty';
import panel from '../shared/panel.module.css';
import styles from './print.module.css';
import type { QueuedSet } from './printSettings';

const number = (n: number): string => (n < 10 && n % 1 !== 0 ? n.toFixed(1) : String(Math.round(n)));

/** What waits to be printed, added up, with the one button that prints it. */
export function PrintQueue({
  sets,
  waiting,
  chosen,
  cautions,
  busy,
  share,
  printed,
  onChoose,
  onRemove,
  onPrint,
  onStop,
  onMade,
  onNotMade,
  onAdd,
}: {
  /** What would be printed now: the queue, or the set that is open. */
  sets: readonly QueuedSet[];
  /** Whether these wait in the queue; else the open set stands here alone. */
  waiting: boolean;
  chosen: number | null;
  cautions: readonly string[];
  busy: boolean;
  /** How far printing is; null where nothing is printed just now. */
  share: number | null;
  /** Printed before, and nobody has said yet that they are cut. */
  printed: readonly QueuedSet[];
  onChoose: (id: number) => void;
  onRemove: (id: number) => void;
  onPrint: (together: boolean) => void;
  onStop: () => void;
  onMade: () => void;
  /** They are not asked about any more. */
  onNotMade: () => void;
  /** Puts the open set on the list; null where there is none to put. */
  onAdd: (() => void) | null;
}) {
  const sum = (of: 'sheets' | 'cuts' | 'minutes'): number => sets.reduce((n, s) => n + s[of], 0);
  const sheets = sum('sheets');
  return (
    <section className={`${panel.sheet} ${styles.queue}`} aria-label="To print">
      <h2>To print</h2>
      {sets.length === 0 && <p className={panel.soft}>Nothing lies here yet.</p>}
      <table className={styles.sets} hidden={sets.length === 0}>
        <thead>
          <tr>
            <th scope="col">
              <span className={styles.hidden}>Set</span>
            </th>
            <th scope="col">sheets</th>
            <th scope="col">cuts</th>
            <th scope="col">min</th>
            <th scope="col">
              <span className={styles.hidden}>Take away</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sets.map((s) => (
            <tr key={s.id} className={s.id === chosen ? styles.open : undefined}>
              <th scope="row">
                {waiting ? (
                  <button type="button" className={styles.setTitle} onClick={() => onChoose(s.id)}>
                    {s.title}
                  </button>
                ) : (
                  s.title
                )}
                {s.asked.label && <small>{s.asked.label}</small>}
              </th>
              <td>{s.sheets}</td>
              <td>{s.cuts}</td>
              <td>{number(s.minutes)}</td>
              <td>
                {waiting && (
                  <button type="button" className={styles.away} aria-label={`Take ${s.title} off the list`} onClick={() => onRemove(s.id)}>
                    ×
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className={styles.sums} hidden={sets.length === 0}>
        <div>
          <dd>{sheets}</dd>
          <dt>{sheets === 1 ? 'sheet' : 'sheets'}</dt>
        </div>
        <div>
          <dd>{sum('cuts')}</dd>
          <dt>cuts</dt>
        </div>
        <div>
          <dd>{number(sum('minutes'))}</dd>
          <dt>minutes, about</dt>
        </div>
      </dl>
      {busy ? (
        <>
          {share !== null && <Progress share={share} label="Printing" />}
          <Button onClick={onStop}>Stop</Button>
        </>
      ) : (
        <>
          {sets.length > 0 && (
            <Button kind="main" onClick={() => onPrint(true)}>
              Print {sheets} {sheets === 1 ? 'sheet' : 'sheets'} as one PDF
            </Button>
          )}
          {onAdd && <Button onClick={onAdd}>{waiting ? 'Put this one on the list too' : 'Put it on a list, and go on'}</Button>}
          {sets.length > 1 && <Button onClick={() => onPrint(false)}>One PDF for each set</Button>}
        </>
      )}
      {printed.length > 0 && !busy && (
        <div className={styles.after} role="status">
          <p>
            Printed and cut? <b>{printed.map((p) => p.title + (p.asked.label ? `, ${p.asked.label}` : '')).join('; ')}</b>
          </p>
          <Button onClick={onMade}>{printed.length === 1 ? 'It is made' : 'They are made'}</Button>
          <Button kind="plain" onClick={onNotMade}>
            Not made
          </Button>
        </div>
      )}
      {cautions.length > 0 && (
        <div className={styles.caution}>
          {cautions.map((c) => (
            <p key={c}>{c}</p>
          ))}
        </div>
      )}
      <p className={`${panel.soft} ${panel.small}`}>
        Print at actual size and hold a ruler to the 50 mm line. Once made, they stand in Things, and a lost sheet can be printed again.
      </p>
    </section>
  );
}
