import type { Country } from '../play/country';
import type { PrepStep } from '../materials/gettingReady';
import { minutesOfSteps } from '../materials/gettingReady';
import { preparationFor } from '../print/sheetWork';
import { type HowTo, presenceFor } from '../play/howTo';
import { materialsFor, type MaterialNeed, numberCards } from '../play/needs';
import type { Mechanism } from './mechanism';

/** What follows from the rules of a version, so that nobody has to type it. */
export interface VersionFacts {
  readonly howTo: HowTo;
  readonly materials: readonly MaterialNeed[];
  readonly steps: readonly PrepStep[];
  readonly preparationMinutes: number;
  readonly presence: HowTo['presence'];
}

/** Material kinds by id for one table of `seats` players, each need by its usual kind. */
export const materialsOf = (m: Mechanism, parameters: object, seats: number): MaterialNeed[] =>
  materialsFor(m.needs({ ...m.defaults, ...parameters }, seats));

/** What has to be made once; cards that a usual deck has are not printed. */
export function preparationOf(m: Mechanism, parameters: object, seats: number, country: Country): PrepStep[] {
  const full = { ...m.defaults, ...parameters };
  const printsNumbers = materialsFor(m.needs(full, seats)).some((n) => n.kind === numberCards);
  return preparationFor(
    m.sheets(full, seats).filter((s) => s.sheet !== numberCards || printsNumbers),
    country,
  );
}

/** Everything that follows from the rules for a usual table of these players at these ages. */
export function versionFacts(
  m: Mechanism,
  parameters: object,
  seats: number,
  ages: readonly [number, number],
  country: Country,
): VersionFacts {
  const howTo = m.howTo({ ...m.defaults, ...parameters }, country);
  const steps = preparationOf(m, parameters, seats, country);
  return {
    howTo,
    materials: materialsOf(m, parameters, seats),
    steps,
    preparationMinutes: minutesOfSteps(steps),
    presence: presenceFor(howTo, ages),
  };
}
