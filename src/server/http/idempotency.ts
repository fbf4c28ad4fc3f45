import { createHash } from 'node:crypto';
import { eq, lt } from 'drizzle-orm';
import { refuse } from './problemError';
import type { Db, Tx } from '../db/db';
import { idempotency } from '../db/schema';
import { momentNow } from '../shared/clock';
import type { Reply } from './route';

/** Answers are kept so long; a sender who has not heard by then must look. */
const daysKept = 7;
const longestKey = 200;

export interface Sent {
  readonly key: string;
  readonly route: string;
  /** Hash of address and body. */
  readonly hash: string;
}

export interface Answer {
  readonly status: number;
  readonly body: unknown;
}

/** What is on its way in this process, by key, so that the same write sent at once waits for the first. */
const underWay = new Map<string, { readonly sent: Sent; readonly answer: Promise<Answer | null> }>();

export function sentOf(key: string, route: string, address: string, body: unknown): Sent {
  if (key.length > longestKey || !/^[\x21-\x7e]+$/.test(key))
    throw refuse('malformed', `An Idempotency-Key has 1 to ${longestKey} visible letters.`, 'Idempotency-Key');
  return {
    key,
    route,
    hash: createHash('sha256')
      .update(JSON.stringify([route, address, body]))
      .digest('hex'),
  };
}

/**
 * The answer given before to this very write, or that of the work, which is entered as pending before it begins and let go of
 * when it was refused. Between the look and the entry nothing else can run. @throws when the key stands for another write.
 */
export async function onceOnly(db: Db, sent: Sent, work: () => Promise<Answer>): Promise<Answer> {
  for (let running = underWay.get(sent.key); running; running = underWay.get(sent.key)) {
    sameWrite(running.sent, sent);
    const answer = await running.answer;
    if (answer) return answer;
  }
  const known = db.select().from(idempotency).where(eq(idempotency.key, sent.key)).get();
  if (known) {
    sameWrite({ key: known.key, route: known.route, hash: known.sent }, sent);
    // What an ended program left pending was not done: answer and work are written together.
    if (known.state === 'done') return { status: known.status!, body: known.body };
  }
  let settle: (answer: Answer | null) => void = () => undefined;
  underWay.set(sent.key, { sent, answer: new Promise((r) => (settle = r)) });
  try {
    const row = { key: sent.key, route: sent.route, sent: sent.hash, state: 'pending' as const, createdAt: momentNow() };
    db.insert(idempotency).values(row).onConflictDoUpdate({ target: idempotency.key, set: row }).run();
    const answer = await work();
    if (answer.status >= 300 || answer.status === 202) letGo(db, sent.key);
    settle(answer);
    return answer;
  } catch (error) {
    letGo(db, sent.key);
    settle(null);
    throw error;
  } finally {
    underWay.delete(sent.key);
  }
}

function sameWrite(known: Sent, sent: Sent): void {
  if (known.route !== sent.route || known.hash !== sent.hash)
    throw refuse('conflict', 'This Idempotency-Key was used for another request. Send this one with a key of its own.', 'Idempotency-Key');
}

function letGo(db: Db, key: string): void {
  if (db.$client.open) db.delete(idempotency).where(eq(idempotency.key, key)).run();
}

/** Writes the answer beside the work, in its transaction. */
export function keepAnswer(tx: Tx | Db, sent: Sent, reply: Reply): void {
  tx.update(idempotency).set({ state: 'done', status: reply.status, body: reply.body }).where(eq(idempotency.key, sent.key)).run();
}

/** Lets go of answers nobody asks for any more. */
export function pruneIdempotency(db: Db, now: string): void {
  const before = new Date(Date.parse(now) - daysKept * 86_400_000).toISOString();
  db.delete(idempotency).where(lt(idempotency.createdAt, before)).run();
}
