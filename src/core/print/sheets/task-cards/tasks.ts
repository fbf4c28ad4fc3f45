import { fourOperations, type FourOperation, operationSigns, wholeResult } from '../../../play/arithmetic';
import { between } from '../../../play/deck';
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

function numbersFor(p: HuntParameters, op: FourOperation, rng: Rng): readonly [number, number] {
  const low = Math.max(p.lowest, op === 'add' || op === 'subtract' ? 0 : 1);
  if (op === 'add' || op === 'subtract') {
    const whole = between(rng, Math.max(2 * low, 1), p.highest);
    const part = between(rng, low, Math.max(low, whole - low));
    return op === 'add' ? [part, whole - part] : [whole, part];
  }
  const side = Math.max(low, Math.min(12, Math.floor(p.highest / Math.max(1, low))));
  const x = between(rng, low, side);
  const y = between(rng, low, Math.max(low, Math.min(12, Math.floor(p.highest / x))));
  return op === 'multiply' ? [x, y] : [x * y, x];
}

const differentTries = 80;

/** A task for each box of the sheet; different as long as the range has so many. */
export function tasksOf(p: HuntParameters, rng: Rng): TaskCard[] {
  const made: TaskCard[] = [];
  for (let i = 0; i < p.tasks; i++) {
    let task: TaskCard | null = null;
    for (let t = 0; t < differentTries && (!task || made.some((m) => m.op === task!.op && m.a === task!.a && m.b === task!.b)); t++) {
      const op = p.operations[below(rng, p.operations.length)] ?? fourOperations[0];
      const [a, b] = numbersFor(p, op, rng);
      task = { label: labelOf(i, p.labels), op, a, b, result: wholeResult(op, a, b) };
    }
    made.push(task!);
  }
  return made;
}
