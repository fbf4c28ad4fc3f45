import { creditsOf } from '../skills/creditsOf';
import type { SkillGraph } from '../skills/skillGraph';
import { tenTraitOf } from '../items/traits';
import { type Item, operations, representations } from '../items/item';
import { itemAt, type TallyShape } from './itemChannel';

/** Shares reported beside skills: how the practice is made up. */
export const groupNames = [
  ...operations,
  'crossing',
  'reaching',
  'leaving',
  'part-missing',
  ...representations.map((r) => `shown as ${r}` as const),
] as const;
export type GroupName = (typeof groupNames)[number];
const groupIndex = new Map<string, number>(groupNames.map((name, i) => [name, i]));

/** The classes an item counts for, and how much of it for each: all of it, but where several of the narrowest steps share it. */
export interface Members {
  readonly members: readonly number[];
  readonly shares: readonly number[];
}

/** An item and the classes it counts for. */
export interface Classified extends Members {
  readonly item: Item;
}

/** Which skills and groups the item at a place of one seat's tally block counts for. */
export class ItemClasses {
  /** Number of classes: skills first, then `groupNames`. */
  readonly size: number;
  /** By place; a map, since a tally may have millions of places of which few are ever met. */
  private readonly known = new Map<number, Classified>();
  private readonly skills: number;

  constructor(
    private readonly shape: TallyShape,
    private readonly graph: SkillGraph | null,
  ) {
    this.skills = graph?.tests.length ?? 0;
    this.size = this.skills + groupNames.length;
  }

  /** The item at a place and what it counts for; worked out when first met, since it is asked for in every batch. */
  at(place: number): Classified {
    const ready = this.known.get(place);
    if (ready) return ready;
    const item = itemAt(this.shape, place);
    const found = { item, ...this.of(item) };
    this.known.set(place, found);
    return found;
  }

  of(item: Item): Members {
    const credits = this.graph ? creditsOf(this.graph, item) : [];
    const members = credits.map((c) => c.index);
    const shares = credits.map((c) => c.share);
    const add = (name: GroupName): void => {
      members.push(this.skills + groupIndex.get(name)!);
      shares.push(1);
    };
    add(item.op);
    add(`shown as ${item.rep}`);
    if (item.unknown !== 'result') add('part-missing');
    const trait = tenTraitOf(item);
    if (trait !== null && trait !== 'within') add(trait);
    return { members, shares };
  }
}
