import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { call } from '../shared/api';
import type { Change, Wish } from '../../core/simulate/searchChanges';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { TimeModel } from '../../core/simulate/timeModel';
import type { Problem } from '../../core/shared/codes';
import type { BenchAnswer, BenchQuestion } from '../../workers/browser/messages';

type OwnList = Extract<BenchQuestion, { kind: 'estimate' }>['own'];

const newWorker = (): Worker => new Worker(new URL('../../workers/browser/bench.worker.ts', import.meta.url), { type: 'module' });

/** Turning a parameter waits so long for the next turn. */
const debounceMs = 130;
const benchSeed = 7;

export interface LiveEstimate {
  readonly result: SimulationResult | null;
  readonly final: boolean;
  readonly problem: Problem | null;
  /** The question has changed and the answer shown is the one before. */
  readonly stale: boolean;
}

/** A version played in a web worker: a first answer at once, then sharper ones. */
export function useEstimate(mechanism: string, parameters: object, seats: number, time: Partial<TimeModel> = {}): LiveEstimate {
  const worker = useRef<Worker | null>(null);
  const ask = useRef(0);
  const [live, setLive] = useState<LiveEstimate>({ result: null, final: false, problem: null, stale: true });
  useEffect(() => {
    const own = newWorker();
    worker.current = own;
    own.onmessage = (event: MessageEvent<BenchAnswer>) => {
      const answer = event.data;
      if (answer.ask !== ask.current) return;
      if (answer.kind === 'refused') setLive((before) => ({ ...before, problem: answer.problem, final: true, stale: true }));
      if (answer.kind === 'estimate') setLive({ result: answer.result, final: answer.final, problem: null, stale: false });
    };
    return () => own.terminate();
  }, []);
  // The owner's own skills count on the bench too.
  const own = useQuery({ queryKey: ['own-skills'], queryFn: () => call('GET /skills/own'), staleTime: 60_000 });
  const key = own.data ? JSON.stringify([mechanism, parameters, seats, time, own.data]) : null;
  useEffect(() => {
    if (key === null) return;
    const mine = ++ask.current;
    setLive((before) => ({ ...before, final: false, stale: true }));
    const timer = setTimeout(() => {
      const [m, p, s, t, o] = JSON.parse(key) as [string, object, number, Partial<TimeModel>, OwnList];
      worker.current?.postMessage({
        kind: 'estimate',
        ask: mine,
        mechanism: m,
        parameters: p,
        seats: s,
        seed: benchSeed,
        time: t,
        own: o,
      } satisfies BenchQuestion);
    }, debounceMs);
    return () => clearTimeout(timer);
  }, [key]);
  return live;
}

export interface Searching {
  readonly share: number | null;
  readonly changes: readonly Change[] | null;
  readonly problem: Problem | null;
}

/** "What would give …?", answered in a worker of its own that can be stopped. */
export function useSearch(): Searching & {
  readonly start: (mechanism: string, parameters: object, seats: number, wish: Wish) => void;
  readonly stop: () => void;
} {
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<Searching>({ share: null, changes: null, problem: null });
  useEffect(() => () => worker.current?.terminate(), []);
  const stop = (): void => {
    worker.current?.terminate();
    worker.current = null;
    setState((s) => ({ ...s, share: null }));
  };
  const start = (mechanism: string, parameters: object, seats: number, wish: Wish): void => {
    stop();
    const own = newWorker();
    worker.current = own;
    setState({ share: 0, changes: null, problem: null });
    own.onmessage = (event: MessageEvent<BenchAnswer>) => {
      const answer = event.data;
      if (answer.kind === 'searching') setState((s) => ({ ...s, share: answer.share }));
      if (answer.kind === 'changes') setState({ share: null, changes: answer.changes, problem: null });
      if (answer.kind === 'refused') setState({ share: null, changes: null, problem: answer.problem });
    };
    own.postMessage({ kind: 'search', ask: 1, mechanism, parameters, seats, wish, seed: benchSeed } satisfies BenchQuestion);
  };
  return { ...state, start, stop };
}
