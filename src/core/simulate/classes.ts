import type { SkillGraph } from '../skills/skillGraph';
import { tenTraitOf } from '../items/traits';
import { itemAt, type TallyShape } from './itemChannel';

/** Shares reported beside skills: how the practice is made up. */
export const groupNames = ['add', 'subtract', 'multiply', 'divide', 'other', 'crossing', 'reaching'] as const;
export type GroupName = (typeof groupNames)[number];

/** For each place of one seat's tally block, which skills and groups its item counts for. */
export interface ItemClasses {
  readonly starts: Int32Array;
  readonly members: Int32Array;
  /** Number of classes: skills first, then `groupNames`. */
  readonly size: number;
}

export function classOfOperation(op: string): number {
  const at = groupNames.indexOf(op as GroupName);
  return at >= 0 && at < 4 ? at : 4;
}

export function itemClasses(shape: TallyShape, graph: SkillGraph | null): ItemClasses {
  const skills = graph?.tests.length ?? 0;
  const starts = new Int32Array(shape.strideSeat + 1);
  const members: number[] = [];
  for (let place = 0; place < shape.strideSeat; place++) {
    starts[place] = members.length;
    const item = itemAt(shape, place);
    for (let k = 0; k < skills; k++) if (graph!.tests[k]?.(item)) members.push(k);
    members.push(skills + classOfOperation(item.op));
    const trait = tenTraitOf(item);
    if (trait === 'crossing') members.push(skills + 5);
    if (trait === 'reaching') members.push(skills + 6);
  }
  starts[shape.strideSeat] = members.length;
  return { starts, members: Int32Array.from(members), size: skills + groupNames.length };
}
