import type { SkillGraph } from '../../skills/skillGraph';
import { below, createRng, type Rng, uniform } from '../../shared/rng';
import { LOOP, type Player, type TruePlay, type World } from './world';

/**
 * A world of other make: no ability and no normal spread. Each step of a child stands at one of four stages; chances
 * move it up by luck, quiet days move it down, and what is needed before must be there. Children differ by a lag on
 * each line, evenly spread, and by holes. All figures are assumptions, none is measured; fixed before anything was
 * tuned with them.
 */
export const STAGES = {
  /** Share of right answers at a stage with no tool: not met, shaky, mostly, sure. */
  right: [0.06, 0.4, 0.68, 0.95],
  /** With a tool in hand. */
  withTool: [0.25, 0.7, 0.88, 0.98],
  /** Chance that one chance moves a step up from a stage, for a child of medium speed. */
  up: [0.06, 0.05, 0.045],
  /** Part of that which is left where the least of what is needed stands at a stage. */
  ready: [0.1, 0.4, 0.85, 1],
  /** Days in which a step that is not met falls back from a stage, on average; each meeting makes it half as long again. */
  lasts: [Infinity, 200, 160, 120],
  longer: 0.5,
  /** Years by which a line of a child runs ahead or behind at most, and the child over all. */
  lineYears: 0.7,
  childYears: 0.9,
  /** Share of steps that were missed, whatever the age. */
  holes: 0.05,
  /** Share of steps that stand a stage off the usual, either way. */
  off: 0.15,
  /** Years before its date from which a step is shaky, mostly there, sure. */
  from: [-1.1, -0.5, 0.1],
  /** Meetings a year that a step has behind it since its date: what is held for years lasts. */
  metAYear: 12,
  toolUse: 0.5,
  noteNoise: 0.08,
  /** Chances of a day beyond which more move nothing. */
  dailyChances: 40,
} as const;

export const stageWorld = (graph: SkillGraph): World => ({
  id: 'stages',
  toolUse: STAGES.toolUse,
  noteNoise: STAGES.noteNoise,
  invent: (age, speed, rng) => new StagePlayer(graph, age, speed, rng),
});

const sure = 3;
/** Worth of a stage on the way, for a planner that sees everything. */
const worth = [0, 0.2, 0.5, 1] as const;

/** Time to an event of rate one. */
const waiting = (rng: Rng): number => -Math.log(1 - uniform(rng));

class StagePlayer implements Player {
  readonly ahead: number;
  private readonly stage: Uint8Array;
  private readonly times: Float64Array;
  /** Day up to which quiet days were counted. */
  private readonly settled: Float64Array;
  /** What is left until a step moves up or down, drawn step by step: so who plans changes no child's luck. */
  private readonly luck: readonly Rng[];
  private readonly toRise: Float64Array;
  private readonly toFall: Float64Array;

  constructor(
    private readonly graph: SkillGraph,
    readonly age: number,
    private readonly speed: number,
    rng: Rng,
  ) {
    const n = graph.skills.length;
    this.stage = new Uint8Array(n);
    this.times = new Float64Array(n);
    this.settled = new Float64Array(n);
    const spread = (years: number): number => years * (2 * uniform(rng) - 1);
    this.ahead = spread(STAGES.childYears);
    const ofLine = new Map(graph.strands.map((s) => [s.id, spread(STAGES.lineYears)]));
    for (const k of graph.order) {
      const s = graph.skills[k]!;
      const past = age + this.ahead + ofLine.get(s.strand)! - s.wantedAt.us;
      const usual = STAGES.from.filter((from) => past >= from).length;
      const moved = uniform(rng) < STAGES.off ? usual + (below(rng, 2) === 0 ? -1 : 1) : usual;
      const missed = uniform(rng) < STAGES.holes ? Math.min(1, moved) : moved;
      // Nobody is two stages further than what it needs.
      const least = graph.needs[k]!.reduce((x, { index }) => Math.min(x, this.stage[index]!), sure);
      this.stage[k] = Math.max(0, Math.min(sure, missed, least + 1));
      this.times[k] = STAGES.metAYear * Math.max(0, past);
    }
    const own = below(rng, 1 << 30);
    this.luck = Array.from({ length: n }, (_, k) => createRng(own, k));
    this.toRise = Float64Array.from(this.luck, waiting);
    this.toFall = Float64Array.from(this.luck, waiting);
  }

  /** The stage on a day; quiet days since it was last counted may have taken one off. Time only moves on. */
  private at(k: number, day: number): number {
    const quiet = day - this.settled[k]!;
    if (quiet > 0) {
      this.settled[k] = day;
      const lasts = STAGES.lasts[this.stage[k]!]! * (1 + STAGES.longer * this.times[k]!);
      this.toFall[k]! -= quiet / lasts;
      if (this.toFall[k]! < 0) this.move(k, -1);
    }
    return this.stage[k]!;
  }

  private move(k: number, by: number): void {
    this.stage[k] = this.stage[k]! + by;
    this.toRise[k] = waiting(this.luck[k]!);
    this.toFall[k] = waiting(this.luck[k]!);
  }

  right(k: number, day: number, tool: boolean): number {
    return (tool ? STAGES.withTool : STAGES.right)[this.at(k, day)]!;
  }
  ease(k: number, day: number): number {
    return this.right(k, day, false);
  }
  holds(k: number, day: number): boolean {
    return this.at(k, day) === sure;
  }
  theta(k: number, day: number): number {
    const p = this.right(k, day, false);
    return Math.log(p / (1 - p));
  }

  private movesUp(k: number, day: number): number {
    const now = this.at(k, day);
    if (now === sure) return 0;
    const least = this.graph.needs[k]!.reduce((x, { index }) => Math.min(x, this.at(index, day)), sure);
    return Math.min(1, this.speed * STAGES.up[now]! * STAGES.ready[least]!);
  }

  play(what: TruePlay, minutes: number, day: number, done: Float64Array): void {
    for (const k of what.doses.keys()) {
      const chances = Math.min((what.doses[k]! * minutes) / 10, STAGES.dailyChances - done[k]!);
      if (chances < 0.5) continue;
      // At most one stage a round.
      this.toRise[k]! += chances * Math.log1p(-this.movesUp(k, day));
      if (this.toRise[k]! < 0) this.move(k, 1);
      if (done[k] === 0) this.times[k]! += Math.min(1, chances / LOOP.fullPractice);
      done[k]! += chances;
    }
  }

  gain(what: TruePlay, minutes: number, day: number, targets: readonly number[]): number {
    let sum = 0;
    for (const k of targets) {
      const chances = (what.doses[k]! * minutes) / 10;
      const now = this.at(k, day);
      if (chances < 0.5 || now === sure) continue;
      sum += (1 - (1 - this.movesUp(k, day)) ** chances) * (worth[now + 1]! - worth[now]!);
    }
    return sum;
  }
}
