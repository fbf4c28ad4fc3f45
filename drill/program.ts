import { type ChildProcess, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';

/** An answer, or what became of a request that got none. */
export interface Told {
  readonly status: number | 'hang' | 'no answer';
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- answers of every route, read as foreign scripts would
  readonly body: any;
  readonly milliseconds: number;
}

export const today = '2026-11-10';
/** A request that takes longer has hung. */
const patience = 30_000;

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

/** None outlives the drill, however that ends. */
const running = new Set<ChildProcess>();
process.once('exit', () => running.forEach((child) => child.kill('SIGKILL')));

/** The built program as a process of its own, with a data directory that outlives it. */
export class Program {
  readonly directory = mkdtempSync(join(tmpdir(), 'zeitgeber-drill-'));
  private child: ChildProcess | null = null;
  private port = 0;

  async start(): Promise<void> {
    this.port = await freePort();
    const child = spawn(process.execPath, ['drill/serve.mjs', String(this.port), this.directory], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, ZEITGEBER_TEST: '1', TZ: 'UTC' },
    });
    running.add(child);
    this.child = child;
    await new Promise<void>((ready, failed) => {
      child.stdout!.once('data', () => ready());
      child.once('exit', (code) => failed(new Error(`The program ended with ${code} before it answered.`)));
    });
  }

  /** As when the plug is pulled. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child) return;
    this.child = null;
    running.delete(child);
    await new Promise((gone) => {
      child.once('exit', gone);
      child.kill('SIGKILL');
    });
  }

  async ask(method: string, path: string, body?: unknown, headers: Readonly<Record<string, string>> = {}): Promise<Told> {
    const begun = performance.now();
    const after = (): number => performance.now() - begun;
    try {
      const response = await fetch(`http://127.0.0.1:${this.port}/api/v1${path}`, {
        method,
        headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
        ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
        signal: AbortSignal.timeout(patience),
      });
      const text = await response.text();
      const json = response.headers.get('content-type')?.includes('json') === true;
      return { status: response.status, body: json && text !== '' ? (JSON.parse(text) as unknown) : text, milliseconds: after() };
    } catch (error) {
      return { status: (error as Error).name === 'TimeoutError' ? 'hang' : 'no answer', body: String(error), milliseconds: after() };
    }
  }

  /** The database, read beside the running program. */
  readBeside(): Database.Database {
    return new Database(join(this.directory, 'zeitgeber.sqlite'), { readonly: true });
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.directory, { recursive: true, force: true });
  }
}

/** Tables that hold no word of a person: kept answers, simulations and what was worked out. */
const notKept = new Set(['idempotency', 'simulations', 'learner_states', '__drizzle_migrations']);

/** Tells whether anything a person gave was changed since it was asked last. */
export class Watch {
  private version = -1;
  private hash = '';

  constructor(private readonly db: Database.Database) {}

  changed(): boolean {
    const version = this.db.pragma('data_version', { simple: true }) as number;
    if (version === this.version) return false;
    this.version = version;
    const before = this.hash;
    this.hash = this.content();
    return this.hash !== before;
  }

  private content(): string {
    const hash = createHash('sha256');
    const tables = this.db.prepare("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name").all() as { name: string }[];
    for (const { name } of tables)
      if (!notKept.has(name)) hash.update(name + JSON.stringify(this.db.prepare(`SELECT * FROM "${name}" ORDER BY rowid`).all()));
    return hash.digest('hex');
  }
}

/** What a drill tried and what went wrong, with the first few in words. */
export class Score {
  tried = 0;
  readonly failures: string[] = [];
  readonly notes = new Map<string, number>();

  constructor(readonly what: string) {}

  fail(words: string): void {
    this.failures.push(words);
  }

  note(what: string): void {
    this.notes.set(what, (this.notes.get(what) ?? 0) + 1);
  }

  print(): void {
    const notes = [...this.notes].sort((x, y) => y[1] - x[1]).map(([what, n]) => `${n} ${what}`);
    console.log(`${this.what}: ${this.tried} tried, ${this.failures.length} failed${notes.length > 0 ? ` (${notes.join(', ')})` : ''}`);
    for (const f of this.failures.slice(0, 12)) console.log(`  ${f.slice(0, 400)}`);
  }
}
