import type { SimulationResult } from '../../core/simulate/simulationResult';
import { meanDoses } from '../../core/simulate/meanDoses';
import { DosePairs } from '../../ui/charts/DosePairs';
import { LengthPair } from '../../ui/charts/LengthPair';
import { FactGrid } from '../../ui/charts/FactGrid';
import { operationWords } from '../../text/itemText';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { factGrids, signs } from './factGrids';
import styles from './bench.module.css';
import { differs, type MeasureRow, measureRows, slotMinutes } from './measureRows';

const skillsShown = 7;

/** Two versions side by side: numbers that moved, doses, length, facts. */
export function SideBySide({
  before,
  after,
  names,
  skills,
}: {
  before: SimulationResult | null;
  after: SimulationResult | null;
  names: readonly [string, string];
  skills: Skills;
}) {
  const rows = measureRows(before, after);
  const old = before ? meanDoses(before) : new Map<string, { mean: number }>();
  const now = after ? meanDoses(after) : new Map<string, { mean: number }>();
  const pairs = [...new Set([...old.keys(), ...now.keys()])]
    .map((id) => ({
      id,
      title: skills.title(id),
      hue: skills.strandOf(id)?.hue ?? 'slate',
      before: old.get(id)?.mean ?? 0,
      after: now.get(id)?.mean ?? 0,
    }))
    .sort((x, y) => Math.max(y.before, y.after) - Math.max(x.before, x.after))
    .slice(0, skillsShown);
  return (
    <div className={styles.side}>
      <section className={panel.sheet}>
        <table className={styles.measures}>
          <thead>
            <tr>
              <th scope="col">
                <span className={panel.soft}>measured</span>
              </th>
              <th scope="col">{names[0]}</th>
              <th scope="col">{names[1]}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <Row key={r.name} row={r} />
            ))}
          </tbody>
        </table>
        <p className={`${panel.soft} ${panel.small}`}>
          Calculated from the rules: {before?.games.toLocaleString('en') ?? '…'} and {after?.games.toLocaleString('en') ?? '…'} simulated
          games; ± one standard error. Bold where the two differ by more than chance.
        </p>
      </section>
      <section className={panel.sheet}>
        <h2>What each child practises in ten minutes</h2>
        {pairs.length > 0 ? (
          <DosePairs pairs={pairs} names={names} />
        ) : (
          <p className={panel.soft}>No skill of the list is met; the table beside says what is done instead.</p>
        )}
        <h2 className={styles.second}>How long it lasts</h2>
        <LengthPair before={before?.minuteHistogram ?? []} after={after?.minuteHistogram ?? []} slot={slotMinutes} names={names} />
      </section>
      {after &&
        factGrids(after.items)
          .slice(0, 1)
          .map(({ op, cells, facts, by }) => (
            <section key={op} className={panel.sheet}>
              <h2>
                Facts met in {names[1]}, {operationWords[op as 'add'] ?? op}
              </h2>
              <FactGrid cells={cells} sign={signs[op] ?? op} facts={facts} by={by} />
            </section>
          ))}
    </div>
  );
}

function Row({ row }: { row: MeasureRow }) {
  const moved = differs(row);
  const cell = (e: MeasureRow['before']) =>
    e
      ? `${row.unit === 'min' ? `about ${Math.round(e.mean)}` : e.mean.toFixed(e.mean >= 100 ? 0 : 1)}${row.unit ? ` ${row.unit}` : ''}`
      : '…';
  const error = (e: MeasureRow['before']) =>
    e && row.unit !== 'min' && e.standardError > 0 ? ` ± ${Number(e.standardError.toPrecision(e.standardError < 0.1 ? 1 : 2))}` : '';
  const up = row.before && row.after && row.after.mean > row.before.mean;
  return (
    <tr className={moved ? styles.moved : ''}>
      <th scope="row">{row.name}</th>
      <td>
        {cell(row.before)}
        <small>{error(row.before)}</small>
      </td>
      <td>
        {cell(row.after)}
        <small>{error(row.after)}</small>
        {moved && (
          <svg width="14" height="14" viewBox="0 0 14 14" aria-label={up ? 'more' : 'less'}>
            <path d={up ? 'M2 11L11 3M5 3h6v6' : 'M2 3L11 11M5 11h6V5'} fill="none" stroke="currentColor" strokeWidth="2" />
          </svg>
        )}
      </td>
    </tr>
  );
}
