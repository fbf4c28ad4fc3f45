import type { OwnAdditions } from '../../contract/graphWith';
import type { Problem } from '../../core/shared/codes';
import type { Change, Wish } from '../../core/simulate/searchChanges';
import type { SeatRequest } from '../../core/simulate/seats';
import type { TimeModel } from '../../core/simulate/timeModel';
import type { SimulationResult } from '../../core/simulate/simulationResult';

/** What the bench asks of its worker; a newer question replaces an older one of its kind. */
/** Skills and prerequisites the owner added. */
type Own = Pick<OwnAdditions, 'skills' | 'edges'>;

export type BenchQuestion =
  | {
      readonly kind: 'estimate';
      readonly ask: number;
      readonly mechanism: string;
      readonly parameters: object;
      readonly seats: number | readonly SeatRequest[];
      readonly seed: number;
      readonly time?: Partial<TimeModel>;
      readonly own: Own;
    }
  | {
      readonly kind: 'search';
      readonly ask: number;
      readonly mechanism: string;
      readonly parameters: object;
      readonly seats: number;
      readonly wish: Wish;
      readonly seed: number;
    };

export type BenchAnswer =
  | { readonly kind: 'estimate'; readonly ask: number; readonly result: SimulationResult; readonly final: boolean }
  | { readonly kind: 'searching'; readonly ask: number; readonly share: number }
  | { readonly kind: 'changes'; readonly ask: number; readonly changes: readonly Change[] }
  | { readonly kind: 'refused'; readonly ask: number; readonly problem: Problem };
