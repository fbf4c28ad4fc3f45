import { chancesOf, type SkillGraph } from '../skills/skillGraph';
import { tenTraitOf } from '../items/traits';
import { type Item, operations, representations } from '../items/item';
import { itemAt, type TallyShape } from './itemChannel';

/** Shares reported beside skills: how the practice is made up. */
export const groupNames = [...operations, 'crossing', 'reaching', 'leaving', 'part-missing', ...representations.map((r) => `shown as ${r}` as const)] as const;
export type GroupName = (typeof groupNames)[number];
const groupIndex = new Map<string, number>(groupNames.map((name, i) => [name, i]));

/** Which skills and groups the item at a place of one seat's tally block counts for. */
export class ItemClasses {
  /** Number of classes: skills first, then `groupNames`. */
  readonly size: number;
  private readonly known: (readonly number[] | undefined)[];
  private readonly values: (Item | undefined)[];
  private readonly skills: number;

  constructor(
    private readonly shape: TallyShape,
    private readonly graph: SkillGraph | null,
  ) {
    this.skills = graph?.tests.length ?? 0;
    this.size = this.skills + groupNames.length;
    this.values = new Array<Item | undefined>(shape.strideSeat);
    this.known = new Array<readonly number[] | undefined>(shape.strideSeat);
  }

  /** Classified when first met: most places of a tally never are. */
  at(place: number): readonly number[] {
    return (this.known[place] ??= this.of(this.valuesAt(place)));
  }

  /** The item at a place; kept, since it is asked for in every batch. */
  valuesAt(place: number): Item {
    return (this.values[place] ??= itemAt(this.shape, place));
  }

  of(item: Item): readonly number[] {
    const members = this.graph ? chancesOf(this.graph, item) : [];
    const add = (name: GroupName): void => void members.push(this.skills + groupIndex.get(name)!);
    add(item.op);
    add(`shown as ${item.rep}`);
    if (item.unknown !== 'result') add('part-missing');
    const trait = tenTraitOf(item);
    if (trait !== null && trait !== 'within') add(trait);
    return members;
  }
}
