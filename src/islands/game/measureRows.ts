import { operations } from '../../core/items/item';
import type { Estimate, SimulationResult } from '../../core/simulate/simulationResult';
import { endsWithin } from '../../core/simulate/simulationResult';
import { operationWords } from '../../text/itemText';

export interface MeasureRow {
  readonly name: string;
  readonly unit: '' | '%' | 'min';
  readonly before: Estimate | null;
  readonly after: Estimate | null;
}

/** Minutes of a usual round of a session, which a game's length is held against. */
export const slotMinutes = 15;
/** An operation is named when it makes up so much of either version. */
const leastShare = 0.03;

/** The numbers of two versions side by side; a row where either has something to say. */
export function measureRows(before: SimulationResult | null, after: SimulationResult | null): MeasureRow[] {
  const row = (name: string, unit: MeasureRow['unit'], of: (r: SimulationResult) => Estimate): MeasureRow => ({
    name,
    unit,
    before: before && of(before),
    after: after && of(after),
  });
  const measure =
    (key: string) =>
    (r: SimulationResult): Estimate => ({ mean: r.measures[key] ?? 0, standardError: r.measureErrors[key] ?? 0 });
  const percent =
    (of: (r: SimulationResult) => Estimate) =>
    (r: SimulationResult): Estimate => ({ mean: of(r).mean * 100, standardError: of(r).standardError * 100 });
  const named = operations.filter((op) => [before, after].some((r) => (r?.shares[op].mean ?? 0) >= leastShare));
  return [
    row('minutes a game', 'min', (r) => ({ mean: r.minutes.mean, standardError: r.minutes.standardError })),
    row(`ends inside ${slotMinutes} minutes`, '%', (r) => {
      const p = endsWithin(r.minuteHistogram, slotMinutes);
      return { mean: p * 100, standardError: 100 * Math.sqrt((p * (1 - p)) / r.games) };
    }),
    row('chances for each child in ten minutes', '', chances),
    ...named.map((op) =>
      row(
        `of them ${operationWords[op]}`,
        '%',
        percent((r) => r.shares[op]),
      ),
    ),
    row(
      'of them crossing a ten',
      '%',
      percent((r) => r.shares.crossing),
    ),
    row('to choose from at a turn', '', measure('choices')),
    row('turns with nothing to do', '%', percent(measure('movelessShare'))),
    row('waiting for others', '%', percent(measure('waitingShare'))),
    row('of the games cut off, since they found no end', '%', (r) => ({ mean: r.outcomes.capped * 100, standardError: 0 })),
    row('different facts met', '', (r) => ({ mean: r.distinctFacts, standardError: 0 })),
  ].filter((r) => ((r.before?.mean ?? 0) !== 0 || (r.after?.mean ?? 0) !== 0) && !fixedByRules(r, before, after));
}

/** Two thirds of three who play in turn wait, whatever the game: that is no finding about it. */
function fixedByRules(r: MeasureRow, before: SimulationResult | null, after: SimulationResult | null): boolean {
  if (r.name !== 'waiting for others') return false;
  return [before, after].every((x) => x === null || Math.abs((x.measures['waitingShare'] ?? 0) - (1 - 1 / x.seats)) < 1e-6);
}

/** Games without an end in this share of all are said before anything else. */
export const cappedWorthSaying = 0.005;

/** All items, per child and ten minutes of play. */
function chances(r: SimulationResult): Estimate {
  const perGame = (r.measures['itemsPerTurn'] ?? 0) * r.turns.mean;
  const mean = (perGame / r.seats / r.minutes.mean) * 10;
  return {
    mean,
    standardError:
      mean * Math.hypot((r.measureErrors['itemsPerTurn'] ?? 0) / (r.measures['itemsPerTurn'] || 1), r.turns.standardError / r.turns.mean),
  };
}

/** Whether two numbers differ by more than chance: three standard errors. */
export const differs = (row: MeasureRow): boolean =>
  row.before !== null &&
  row.after !== null &&
  Math.abs(row.before.mean - row.after.mean) > 3 * Math.hypot(row.before.standardError, row.after.standardError) &&
  Math.abs(row.before.mean - row.after.mean) > 1e-6;

/** What is said of a game that may go on for ever. */
export const endlessWords = (capped: number): string =>
  capped > 0.995
    ? 'With these numbers the game never ends.'
    : `${Math.max(1, Math.round(capped * 100))} % of the games found no end and were cut off.`;
