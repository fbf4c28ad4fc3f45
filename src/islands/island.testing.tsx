import { cleanup, configure, render, type RenderResult } from '@testing-library/react';
import type { ReactElement } from 'react';
import { afterEach, beforeEach, expect, vi } from 'vitest';
import Ajv2020 from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { apiWire } from '../contract/wire/api';
import type { WireRoutes } from '../contract/wire/route';
import { strict } from '../contract/wire/strict.testing';
import type { LearnerWire } from '../contract/wire/learners';
import type { PlanWire, SeatWire } from '../contract/wire/plan';
import type { MeetingWire } from '../contract/wire/term';
import type { GameWire, VariantWire } from '../contract/wire/shelf';
import type { KindWire } from '../contract/wire/thingsOwned';
import { shippedGraph } from '../contract/shippedData';
import { queryClient } from './shared/App';

// A busy machine is no fault of the program: a test waits long, and fails for what never comes.
configure({ asyncUtilTimeout: 60_000 });

/** What a request is answered with: a body, or a status and a problem. */
export type Answer = unknown | ((body: never) => unknown);

export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
  readonly key: string | null;
}

/** Answers of the API for one test, by `METHOD /path` without what follows the question mark; what is not named is an empty list. */
export class FakeApi {
  readonly asked: Asked[] = [];
  /** Answers of this test that the program would never give. */
  readonly wrong: string[] = [];
  private readonly answers = new Map<string, Answer>();

  on(request: string, answer: Answer): this {
    this.answers.set(request, answer);
    return this;
  }

  /** Writes that were sent, in order. */
  get writes(): Asked[] {
    return this.asked.filter((a) => a.method !== 'GET');
  }

  readonly fetch = (address: string, init: RequestInit = {}): Promise<Response> => {
    const method = init.method ?? 'GET';
    const path = address.replace('/api/v1', '').split('?')[0]!;
    const body = init.body ? (JSON.parse(String(init.body)) as unknown) : null;
    this.asked.push({ method, path, body, key: new Headers(init.headers).get('idempotency-key') });
    const known = this.answers.get(`${method} ${path}`) ?? unasked[path] ?? (path.endsWith('/how-to') ? noRules(path) : page([]));
    const value = typeof known === 'function' ? (known as (b: unknown) => unknown)(body) : known;
    if (value instanceof Refusal) return Promise.resolve(new Response(JSON.stringify({ error: value.problem }), { status: value.status }));
    if (value instanceof Error) return Promise.reject(value);
    if (value instanceof Promise) return value as Promise<Response>;
    const wrong = wrongAnswer(method, path, value);
    if (wrong) this.wrong.push(wrong);
    // Long work that was only begun.
    const status = Object.keys(Object(value)).join() === 'job' ? 202 : 200;
    return Promise.resolve(new Response(JSON.stringify(value), { status }));
  };
}

/** An answer that does not come. */
export const unanswered = (): Promise<never> => new Promise(() => undefined);

const ajv = new Ajv2020({ strict: false });
addFormats(ajv);
const begun = { type: 'object', properties: { job: { type: 'string' } }, required: ['job'], additionalProperties: false };
const told = Object.entries(apiWire as WireRoutes).map(([address, { response, job }]) => ({
  is: new RegExp(`^${address.replace(/[.]/g, '\\.').replace(/\{\w+\}/g, '[^/]+')}$`),
  check: ajv.compile(job ? { anyOf: [strict(response, true) as object, begun] } : (strict(response, true) as object)),
}));

/** What a made-up answer has that the program would never say; null when it could. */
function wrongAnswer(method: string, path: string, value: unknown): string | null {
  const route = told.find(({ is }) => is.test(`${method} ${path}`));
  if (!route) return `There is no ${method} ${path}.`;
  return route.check(JSON.parse(JSON.stringify(value)))
    ? null
    : `${method} ${path} never answers so: ${ajv.errorsText(route.check.errors)}`;
}

/** An answer that refuses. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly problem: { code: string; message: string; field?: string; detail?: unknown },
  ) {}
}

const graph = shippedGraph();
const skills = { items: graph.skills, total: graph.skills.length, strands: graph.strands };

const unasked: Readonly<Record<string, unknown>> = {
  '/skills': skills,
  '/skills/own': { skills: [], edges: [] },
  '/term': { term: null, meetings: [], today: '2026-11-10', door: null },
  '/countries': {
    items: [
      { id: 'uk', title: 'United Kingdom', paper: 'a4' },
      { id: 'us', title: 'United States', paper: 'letter' },
    ],
    country: 'uk',
  },
};

/** No version tells how it is played unless a test says so. */
const noRules = (path: string): object => (path.startsWith('/plans') ? { items: [] } : { howTo: null });

export const page = <T,>(items: T[]): { items: T[]; total: number } => ({ items, total: items.length });

export const learner = (id: string, more: Partial<LearnerWire> = {}): LearnerWire => ({
  id,
  nickname: id[0]!.toUpperCase() + id.slice(1),
  born: '2018-09',
  framework: 'us',
  group: null,
  permanentSupports: [],
  supportsInUse: [],
  actions: [],
  goals: [],
  withoutNorms: false,
  accommodations: [],
  likings: [],
  version: 1,
  ...more,
});

export const game = (id: string, more: Partial<GameWire> = {}): GameWire => ({
  id,
  game: id,
  title: id
    .split('-')
    .map((w) => w[0]!.toUpperCase() + w.slice(1))
    .join(' '),
  bin: 'green',
  source: 'made',
  condition: '',
  notes: '',
  rules: ['Lay the cards out.', 'Turn two.'],
  tags: [],
  retired: false,
  version: 1,
  variants: [],
  mechanism: null,
  parameters: {},
  ages: [],
  players: null,
  minutes: null,
  materials: [],
  helper: 'alone',
  preparationMinutes: 0,
  ...more,
});

export const variant = (id: string, of: string, more: Partial<VariantWire> = {}): VariantWire => ({
  id,
  game: of,
  title: id,
  mechanism: 'pair-memory',
  parameters: {},
  ages: [5, 8],
  players: { min: 2, max: 4 },
  minutes: 12,
  materials: [{ kind: 'pair-cards', quantity: 1 }],
  standIns: [],
  helper: 'nearby',
  room: 'calm',
  preparationMinutes: 0,
  steps: [],
  uses: [],
  declared: [],
  retired: false,
  version: 1,
  said: 'owner',
  ...more,
});

export const thing = (id: string, more: Partial<KindWire> = {}): KindWire => ({
  id,
  title: id,
  alsoCalled: [],
  unit: 'piece',
  quantity: 1,
  owned: 1,
  state: 'number',
  plentiful: false,
  bin: null,
  drawer: 'Dice and counters',
  place: 0,
  condition: '',
  incomplete: '',
  loans: [],
  standIn: null,
  price: null,
  smallParts: false,
  caution: null,
  shipped: true,
  ...more,
});

export const session = (more: Partial<PlanWire> = {}): PlanWire => ({
  id: 'plan-1',
  date: '2026-11-10',
  status: 'good',
  objective: 2,
  bound: 2.1,
  gap: 0.05,
  rounds: [
    {
      tables: [
        {
          game: 'two-lamps',
          title: 'Two Lamps',
          helper: false,
          grownUp: false,
          lookFor: 'wren',
          materials: [],
          standIns: [],
          seats: [seat('wren'), seat('fern')],
        },
        {
          game: 'levers',
          title: 'Levers',
          helper: true,
          grownUp: false,
          lookFor: null,
          materials: [],
          standIns: [],
          seats: [seat('moss', 'fives')],
        },
      ],
      resting: [],
      meanwhile: [],
    },
  ],
  considered: null,
  missing: null,
  locks: [],
  request: {
    present: ['wren', 'fern', 'moss'],
    rounds: 1,
    minutes: 15,
    tables: 2,
    helpers: 1,
    seed: 1,
    preparationMinutes: null,
    grownUp: false,
    everybody: [],
  },
  edited: false,
  forecast: false,
  playedAt: null,
  number: 7,
  version: 3,
  ...more,
});
const seat = (id: string, version = 'tens'): SeatWire => ({
  learner: id,
  with: null,
  variant: version,
  variantTitle: version,
  // What the version asks most is not what the seat is for.
  doses: [
    { skill: 'pairs-of-10', items: 14, source: 'calculated' },
    { skill: 'make-ten', items: 12, source: 'calculated' },
  ],
  skill: 'make-ten',
  tool: 'ten-frame',
  why: `${id} is ready.`,
});

export const meeting = (date: string, more: Partial<MeetingWire> = {}): MeetingWire => ({
  id: `m-${date}`,
  termId: 't',
  date,
  startsAt: '10:00',
  rounds: 2,
  minutes: 15,
  tables: 3,
  helpers: 1,
  off: false,
  offBecause: null,
  version: 1,
  changedAt: '',
  state: 'ahead',
  plan: null,
  ...more,
});

/** Sets a test of an island up: an API of its own, a page of its own, dialogs that the test page lacks. */
export function islandTest(): {
  readonly api: () => FakeApi;
  readonly show: (element: ReactElement) => RenderResult;
  readonly gone: () => string | null;
} {
  let api = new FakeApi();
  let gone: string | null = null;
  beforeEach(() => {
    api = new FakeApi();
    gone = null;
    queryClient.clear();
    queryClient.setDefaultOptions({ queries: { retry: false, staleTime: 0 } });
    vi.stubGlobal('fetch', api.fetch);
    const place = new URL('http://127.0.0.1/?today=2026-11-10');
    vi.stubGlobal('location', {
      get href() {
        return place.href;
      },
      set href(to: string) {
        gone = to;
      },
      search: place.search,
    });
    localStorage.clear();
    // The test page knows no modal dialogs.
    HTMLDialogElement.prototype.showModal = function open(this: HTMLDialogElement): void {
      this.open = true;
    };
    HTMLDialogElement.prototype.close = function close(this: HTMLDialogElement): void {
      this.open = false;
    };
    window.matchMedia = ((query: string) => ({
      matches: false,
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    })) as never;
    vi.stubGlobal('scrollTo', () => undefined);
    Element.prototype.scrollIntoView = () => undefined;
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe(): void {}
        unobserve(): void {}
        disconnect(): void {}
      },
    );
    Blob.prototype.text ??= async function read(this: Blob): Promise<string> {
      return new TextDecoder().decode(await this.arrayBuffer());
    };
    Blob.prototype.arrayBuffer ??= function read(this: Blob): Promise<ArrayBuffer> {
      return new Promise((resolve, reject) => {
        const reader = new FileReader();
        reader.onload = () => resolve(reader.result as ArrayBuffer);
        reader.onerror = () => reject(new Error('This file cannot be read.'));
        reader.readAsArrayBuffer(this);
      });
    };
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
    expect(api.wrong).toEqual([]);
  });
  return { api: () => api, show: (element) => render(element), gone: () => gone };
}
