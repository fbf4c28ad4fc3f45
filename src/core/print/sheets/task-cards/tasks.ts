import { fourOperations, type FourOperation, operationSigns, wholeResult } from '../../../play/arithmetic';
import { numbersFor } from '../../../mechanisms/task-hunt/playOut';
import type { HuntParameters } from '../../../mechanisms/task-hunt/parameters';
import { below, type Rng } from '../../../shared/rng';

export interface TaskCard {
  readonly label: string;
  readonly op: FourOperation;
  readonly a: number;
  readonly b: number;
  readonly result: number;
}

/** Letters that are not mistaken for each other or for a digit come first; twenty are enough for a sheet. */
export const labelOf = (n: number, labels: HuntParameters['labels']): string =>
  labels === 'numbers' ? String(n + 1) : String.fromCharCode(65 + n);

/** What a card asks, and what comes into its box. */
export const asked = (t: TaskCard, unknown: HuntParameters['unknown']): readonly [question: string, answer: number] =>
  unknown === 'result' ? [`${t.a} ${operationSigns[t.op]} ${t.b}`, t.result] : [`${t.a} ${operationSigns[t.op]} □ = ${t.result}`, t.b];

const differentTries = 80;

/** A task for each box of the sheet; different as long as the range has so many. */
export function tasksOf(p: HuntParameters, rng: Rng): TaskCard[] {
  const made: TaskCard[] = [];
  for (let i = 0; i < p.tasks; i++) {
    let task: TaskCard | null = null;
    for (let t = 0; t < differentTries && (!task || made.some((m) => m.op === task!.op && m.a === task!.a && m.b === task!.b)); t++) {
      const op = p.operations[below(rng, p.operations.length)] ?? fourOperations[0];
      const [a, b] = numbersFor(p, fourOperations.indexOf(op), rng);
      task = { label: labelOf(i, p.labels), op, a, b, result: wholeResult(op, a, b) };
    }
    made.push(task!);
  }
  return made;
}
