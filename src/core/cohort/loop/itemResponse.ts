import type { SkillGraph } from '../../skills/skillGraph';
import type { Rng } from '../../shared/rng';
import type { Assumptions } from '../assumptions';
import { trulyHeldFrom } from '../assumptions';
import { inventLearner } from '../simulateLearner';
import { LOOP, type Player, type TruePlay, type World } from './world';

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
/** How soft the line is at which a gain counts. */
const soft = 1.2;
const leastChances = 0.5;

/**
 * The item-response learners of this folder, who also learn from every chance, forget between meetings, regain by
 * meeting again, and hang on what comes before.
 */
export const itemResponseWorld = (graph: SkillGraph, a: Assumptions): World => ({
  id: a.id,
  toolUse: a.toolUse,
  noteNoise: a.noteNoise,
  invent: (age, speed, rng) => new ItemResponsePlayer(graph, a, age, speed, rng),
});

class ItemResponsePlayer implements Player {
  readonly ahead: number;
  private readonly ability: Float64Array;
  /** Day a skill was last met, −1 when never here, and how often. */
  private readonly lastMet: Float64Array;
  private readonly times: Float64Array;

  constructor(
    private readonly graph: SkillGraph,
    private readonly a: Assumptions,
    readonly age: number,
    private readonly speed: number,
    rng: Rng,
  ) {
    const l = inventLearner(graph, age, a, rng);
    this.ability = l.ability;
    this.lastMet = l.lastMet;
    this.times = new Float64Array(l.ability.length);
    // The learner's own place is read off what was drawn: the mean over all skills of ability against the norm.
    this.ahead = graph.skills.reduce((sum, s, k) => sum + l.ability[k]! * a.yearsPerUnit - (age - s.wantedAt.us), 0) / graph.skills.length;
  }

  /** Ability on a day: what was not met for long is harder to get at, less so the more often it was met. */
  private abilityOf(k: number, day: number): number {
    const weeks = this.lastMet[k]! < 0 ? 0 : Math.max(0, day - this.lastMet[k]!) / 7;
    return this.ability[k]! - (this.a.forgetting * Math.log2(1 + weeks)) / (1 + LOOP.spacing * this.times[k]!) + this.a.outside * (day / 7);
  }

  right(k: number, day: number, tool: boolean): number {
    const { guess, slip, discrimination, toolLift } = this.a;
    return guess + (1 - guess - slip) * logistic(discrimination * (this.abilityOf(k, day) + (tool ? toolLift : 0)));
  }

  ease(k: number, day: number): number {
    return logistic(this.theta(k, day));
  }

  holds(k: number, day: number): boolean {
    return this.ease(k, day) >= trulyHeldFrom;
  }

  theta(k: number, day: number): number {
    return this.a.discrimination * this.abilityOf(k, day);
  }

  /** Whether what a skill needs is there, 0 … 1: at even chances of holding up it counts half. */
  private readyFor(k: number, day: number): number {
    return this.graph.needs[k]!.reduce((least, { index }) => Math.min(least, logistic(2 * this.abilityOf(index, day))), 1);
  }

  /** What so many chances at a skill add to ability, if `done` came before on the same day. Most is learnt where about half is there. */
  private rise(k: number, day: number, chances: number, done: number): number {
    const now = this.abilityOf(k, day);
    const nearness = 4 * logistic(now) * (1 - logistic(now));
    const ready = this.a.unready + (1 - this.a.unready) * this.readyFor(k, day);
    const amount = Math.log((LOOP.fullPractice + done + chances) / (LOOP.fullPractice + done)) / Math.LN2;
    return this.speed * this.a.learning * nearness * ready * amount;
  }

  play(what: TruePlay, minutes: number, day: number, done: Float64Array): void {
    const gains = [...what.doses.keys()].flatMap((k) => {
      const chances = (what.doses[k]! * minutes) / 10;
      return chances < leastChances ? [] : [{ k, chances, gain: this.rise(k, day, chances, done[k]!) }];
    });
    for (const { k, chances, gain } of gains) {
      // Meeting it again brings back part of what was out of reach; the rest of that is lost.
      const away = this.ability[k]! + this.a.outside * (day / 7) - this.abilityOf(k, day);
      const regained = Math.min(1, chances / LOOP.fullPractice);
      this.ability[k]! += gain - 0.5 * away * (1 - regained);
      if (done[k] === 0) this.times[k]! += regained;
      this.lastMet[k] = day;
      done[k]! += chances;
    }
  }

  gain(what: TruePlay, minutes: number, day: number, targets: readonly number[]): number {
    const { discrimination } = this.a;
    const threshold = Math.log(trulyHeldFrom / (1 - trulyHeldFrom)) / discrimination;
    const held = (x: number): number => logistic(soft * discrimination * (x - threshold));
    let sum = 0;
    for (const k of targets) {
      const chances = (what.doses[k]! * minutes) / 10;
      if (chances < leastChances) continue;
      const now = this.abilityOf(k, day);
      sum += held(now + this.rise(k, day, chances, 0)) - held(now);
    }
    return sum;
  }
}
