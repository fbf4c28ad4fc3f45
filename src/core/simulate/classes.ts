import { chancesOf, type SkillGraph } from '../skills/skillGraph';
import { tenTraitOf } from '../items/traits';
import type { Item } from '../items/item';
import { itemAt, type TallyShape } from './itemChannel';

/** Shares reported beside skills: how the practice is made up. */
export const groupNames = ['add', 'subtract', 'multiply', 'divide', 'other', 'crossing', 'reaching'] as const;
export type GroupName = (typeof groupNames)[number];

/** Which skills and groups the item at a place of one seat's tally block counts for. */
export class ItemClasses {
  /** Number of classes: skills first, then `groupNames`. */
  readonly size: number;
  private readonly known: (readonly number[] | undefined)[];
  private readonly skills: number;

  constructor(
    private readonly shape: TallyShape,
    private readonly graph: SkillGraph | null,
  ) {
    this.skills = graph?.tests.length ?? 0;
    this.size = this.skills + groupNames.length;
    this.known = new Array<readonly number[] | undefined>(shape.strideSeat);
  }

  /** Classified when first met: most places of a tally never are. */
  at(place: number): readonly number[] {
    return (this.known[place] ??= this.of(itemAt(this.shape, place)));
  }

  of(item: Item): readonly number[] {
    const members = this.graph ? chancesOf(this.graph, item) : [];
    const operation = groupNames.indexOf(item.op as GroupName);
    members.push(this.skills + (operation >= 0 && operation < 4 ? operation : 4));
    const trait = tenTraitOf(item);
    if (trait === 'crossing') members.push(this.skills + 5);
    if (trait === 'reaching') members.push(this.skills + 6);
    return members;
  }
}
