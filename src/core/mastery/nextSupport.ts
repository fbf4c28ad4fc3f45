import type { Skill, Strand } from '../skills/skill';
import type { EvidenceResult } from './evidence';

/** The tool to play with next, and why. */
export interface NextSupport {
  /** Null: with no tool. */
  readonly support: string | null;
  /** Expected share of right answers with it. */
  readonly success: number;
  readonly because: 'lightest' | 'heaviest' | 'stepped-back' | 'keeps';
}

/** What was noted last about the skill, newest first. */
export interface SupportNote {
  readonly result: EvidenceResult | null;
  readonly support: string | null;
}

/** Practice goes well from this share of right answers on (common practice, no source). */
const enough = 0.7;
/** Share of the missing answers that the heaviest and the lightest tool bring (common practice, no source). */
const heaviestBrings = 0.85;
const lightestBrings = 0.25;
/** So many stuck notes in a row, and the ladder goes a step back to more help. */
const stuckInARow = 2;

/** A skill's tools, from the most help to the least: its own, else those of its line. */
export const ladderOf = (skill: Pick<Skill, 'supports'>, strand: Pick<Strand, 'ladder'>): readonly string[] =>
  skill.supports ?? strand.ladder;

/**
 * The lightest support with which, where `bare` is the share of right answers to expect with none, about seven of ten answers should come right; a step
 * heavier than last time after two stuck notes; a tool this child keeps stays.
 */
export function nextSupport(ladder: readonly string[], bare: number, notes: readonly SupportNote[], keeps: readonly string[]): NextSupport {
  const successOn = (i: number): number => {
    if (i >= ladder.length) return bare;
    const brings = ladder.length === 1 ? heaviestBrings : heaviestBrings - ((heaviestBrings - lightestBrings) * i) / (ladder.length - 1);
    return bare + (1 - bare) * brings;
  };
  const kept = ladder.findIndex((id) => keeps.includes(id));
  if (kept >= 0) return { support: ladder[kept]!, success: successOn(kept), because: 'keeps' };
  let rung = ladder.length;
  while (rung > 0 && successOn(rung) < enough) rung--;
  const stuck = notes.length >= stuckInARow && notes.slice(0, stuckInARow).every((n) => n.result === 'stuck');
  if (stuck) {
    const last = notes[0]!.support === null ? ladder.length : ladder.indexOf(notes[0]!.support);
    const back = Math.max(0, (last < 0 ? ladder.length : last) - 1);
    if (back < rung) return { support: ladder[back] ?? null, success: successOn(back), because: 'stepped-back' };
  }
  return { support: ladder[rung] ?? null, success: successOn(rung), because: successOn(rung) < enough ? 'heaviest' : 'lightest' };
}
