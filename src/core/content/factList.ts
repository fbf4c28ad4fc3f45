import { type Operation, operations } from '../items/item';
import type { NotedItem } from '../mastery/evidence';

const right = 'right';
const missed = 'missed';

/** Facts of a note in one cell. // => writeFacts([{ op: 'add', a: 8, b: 7, correct: false }]) is 'add 8 7 missed' */
export const writeFacts = (items: readonly NotedItem[]): string =>
  items.map((i) => `${i.op} ${i.a} ${i.b} ${i.correct ? right : missed}`).join('; ');

/** The facts of such a cell, null when it is no list of them. // => readFacts('add 8 7 missed') has one */
export function readFacts(text: string): NotedItem[] | null {
  const items: NotedItem[] = [];
  for (const part of text.split(';')) {
    if (part.trim() === '') continue;
    const words = part.trim().split(/\s+/);
    const [op, a, b, how] = words;
    const known = words.length === 4 && (operations as readonly string[]).includes(op!) && (how === right || how === missed);
    if (!known || !Number.isFinite(Number(a)) || !Number.isFinite(Number(b))) return null;
    items.push({ op: op as Operation, a: Number(a), b: Number(b), correct: how === right });
  }
  return items;
}
