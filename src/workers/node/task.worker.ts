import './inlineMore';
import { parentPort } from 'node:worker_threads';
import { loadSolver } from '../../adapters/highs/solveModel';
import { planB } from '../../core/planning/planB';
import { mostCovered } from '../../core/recommend/mostCovered';
import { sheetPdf } from '../../adapters/pdf/sheetPdf';
import { layOut, type SheetLayout } from '../../core/print/layOut';
import { type SheetPage } from '../../core/print/sheetPage';
import { sheetKindById } from '../../core/print/registry';
import { packedTables } from '../../adapters/table/readTables';
import { checkTable } from '../../contract/parameters';
import { graphFor, noAdditions, type OwnAdditions } from '../../contract/graphWith';
import { Simulation } from '../../core/simulate/simulation';
import { tellGame } from '../../core/simulate/storyLog';
import { DEFAULT_TIME } from '../../core/simulate/timeModel';
import { simulationResult } from '../../core/simulate/simulationResult';
import { courseOf } from '../../core/simulate/course';
import { fairnessOf, winsOf } from '../../core/simulate/fairness';
import { onlySkill } from '../../core/skills/creditsOf';
import type { SkillGraph } from '../../core/skills/skillGraph';
import { searchFit } from '../../core/simulate/searchFit';
import { searchChanges } from '../../core/simulate/searchChanges';
import { planInTwo, searchBeside } from './planInTwo';
import type {
  ChangesTask,
  CourseTask,
  FairnessTask,
  FromWorker,
  FitTask,
  GapTask,
  PlanBTask,
  PrintTask,
  SimulateTask,
  StoryTask,
  Task,
  WinsTask,
} from './messages';

const port = parentPort!;
const send = (message: FromWorker): void => port.postMessage(message);
/** At most so many progress messages a second. */
const progressEveryMs = 80;

let last: { readonly key: string; readonly graph: SkillGraph } | null = null;

/** The graph a task is about: built anew only when the additions changed. */
function graphOf(own: OwnAdditions | undefined): SkillGraph {
  const key = JSON.stringify(own ?? noAdditions);
  if (last?.key !== key) last = { key, graph: graphFor(own ?? noAdditions) };
  return last.graph;
}

port.on('message', (task: Task) => {
  run(task).catch((error: unknown) =>
    send({ type: 'failed', problem: { code: 'worker-lost', message: error instanceof Error ? error.message : String(error) } }),
  );
});

async function run(task: Task): Promise<void> {
  if (task.kind === 'crash') process.exit(1);
  if (task.kind === 'simulate') return simulate(task);
  if (task.kind === 'fairness') return fairness(task);
  if (task.kind === 'course') return course(task);
  if (task.kind === 'changes') return changes(task);
  if (task.kind === 'gap') return gap(task);
  if (task.kind === 'fit') return fit(task);
  if (task.kind === 'story') return story(task);
  if (task.kind === 'wins') return wins(task);
  if (task.kind === 'sheet') return send({ type: 'done', result: await packedTables(task.bytes) });
  if (task.kind === 'print') return print(task);
  if (task.kind === 'cover') return send({ type: 'done', result: mostCovered(task, await loadSolver(), task.seconds) });
  if (task.kind === 'plan-b') return planForTrouble(task);
  if (task.kind === 'search') return send({ type: 'done', result: await searchBeside(task) });
  send({ type: 'done', result: await planInTwo(graphOf(task.own), task, send) });
}

async function planForTrouble(task: PlanBTask): Promise<void> {
  const solve = await loadSolver();
  send({ type: 'done', result: planB(graphOf(task.own), task.input, solve, (share) => send({ type: 'progress', share })) });
}

/** Answers with the layouts, or with the bytes of one PDF that holds all pages. */
async function print(task: PrintTask): Promise<void> {
  const layouts: SheetLayout[] = [];
  const pages: SheetPage[] = [];
  // Answers come last, where no child looks first.
  const answers: SheetPage[] = [];
  for (const [i, part] of task.parts.entries()) {
    if ('pages' in part) pages.push(...part.pages);
    else {
      const laid = layOut(sheetKindById(part.sheet)!, part.request);
      if (!laid.ok) return send({ type: 'failed', problem: laid.problem });
      layouts.push(laid.value);
      pages.push(...laid.value.pages);
      answers.push(...laid.value.answers);
    }
    send({ type: 'progress', share: (0.7 * (i + 1)) / task.parts.length });
  }
  send({ type: 'done', result: task.wants === 'layout' ? layouts : await sheetPdf(task.title, [...pages, ...answers], task.root) });
}

function fairness(task: FairnessTask): void {
  const table = checkTable(task.mechanism, task.parameters, task.seats);
  if (!table.ok) return send({ type: 'failed', problem: table.problem });
  send({ type: 'done', result: fairnessOf(table.value.mechanism, table.value.seats, task.seed, task.games) });
}

function course(task: CourseTask): void {
  const table = checkTable(task.mechanism, task.parameters, task.seats);
  if (!table.ok) return send({ type: 'failed', problem: table.problem });
  send({ type: 'done', result: courseOf(table.value.mechanism, table.value.seats, task.seed, task.games) });
}

function wins(task: WinsTask): void {
  const result = task.tables.map((seats) => {
    const table = task.mechanism === null || seats.length < 2 ? null : checkTable(task.mechanism, {}, seats);
    if (!table?.ok) return null;
    const found = winsOf(table.value.mechanism, table.value.seats, task.seed, task.games);
    return found.every((w) => w.mean === 0) ? null : found;
  });
  send({ type: 'done', result });
}

function story(task: StoryTask): void {
  const table = checkTable(task.mechanism, task.parameters, task.seats);
  if (!table.ok) return send({ type: 'failed', problem: table.problem });
  send({ type: 'done', result: tellGame(table.value.mechanism, table.value.seats, task.seed, task.game) });
}

function changes(task: ChangesTask): void {
  const table = checkTable(task.mechanism, task.parameters, task.seats);
  if (!table.ok) return send({ type: 'failed', problem: table.problem });
  const steps = searchChanges(table.value.mechanism, task.parameters, task.seats, task.wish, task.seed);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return send({ type: 'done', result: step.value });
    send({ type: 'progress', share: step.value });
  }
}

function gap(task: GapTask): void {
  const wish = { skill: task.skill, graph: onlySkill(graphOf(task.own), task.skill) };
  const result = task.versions.map((v, i) => {
    const table = checkTable(v.mechanism, v.parameters, v.seats);
    if (!table.ok) return [];
    const steps = searchChanges(table.value.mechanism, v.parameters, v.seats, wish, task.seed);
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done) return step.value;
      send({ type: 'progress', share: (i + step.value) / task.versions.length });
    }
  });
  send({ type: 'done', result });
}

function fit(task: FitTask): void {
  const table = checkTable(task.mechanism, task.parameters, task.seats);
  if (!table.ok) return send({ type: 'failed', problem: table.problem });
  const graph = graphOf(task.own);
  const { mechanism } = table.value;
  const steps = searchFit(mechanism, task.parameters, task.seats, graph, task.successes, task.direction, task.seed, task.beside);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return send({ type: 'done', result: step.value });
    send({ type: 'progress', share: step.value });
  }
}

function simulate(task: SimulateTask): void {
  const table = checkTable(task.mechanism, task.parameters, task.seats);
  if (!table.ok) return send({ type: 'failed', problem: table.problem });
  const sim = new Simulation(table.value.mechanism, table.value.seats, graphOf(task.own), {
    seed: task.seed,
    ...(task.games ? { games: task.games } : {}),
    ...(task.precision ? { precision: task.precision } : {}),
    time: { ...DEFAULT_TIME, ...task.time },
  });
  let last = performance.now();
  while (!sim.advance()) {
    const now = performance.now();
    if (now - last < progressEveryMs) continue;
    last = now;
    send({ type: 'progress', share: sim.progress() });
  }
  send({ type: 'done', result: simulationResult(sim) });
}
