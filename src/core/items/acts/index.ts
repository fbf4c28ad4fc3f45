import type { Act } from './act';
import { measureActs } from './measures';
import { numberActs } from './numbers';
import { shapeActs } from './shapes';

const all = { ...shapeActs, ...numberActs, ...measureActs };

export type ActName = keyof typeof all;
/** Acts whose numbers are codes; what they mean stands beside each. */
export const acts: Readonly<Record<ActName, Act>> = all;
export const actNames = Object.keys(all) as readonly ActName[];
export const isAct = (op: string): op is ActName => Object.hasOwn(all, op);
