import type { PictureStep } from './picture';

/** Who has to be there beside the players, by the rules alone; the ages of a version may ask for more. */
export type Presence = 'alone' | 'nearby' | 'needed';

/**
 * How one version is played, made from its own numbers, for somebody who has never seen it.
 * Lines are whole sentences of one idea each.
 */
export interface HowTo {
  /** At most three lines. */
  readonly setUp: readonly string[];
  /** At most four lines. */
  readonly turn: readonly string[];
  /** At most two lines; empty where nobody scores. */
  readonly scoring: readonly string[];
  readonly end: string;
  /** One question that shows how a child thinks. */
  readonly ask: string;
  /** What to reach for when a child is stuck. */
  readonly tool: string;
  /** The same game with smaller numbers. */
  readonly smaller: string;
  /** Who has to be there, and what for; `for` is empty where children play alone. */
  readonly presence: { readonly is: Presence; readonly for: string };
  /** Exactly three steps; the second is a moment of this version and stands for it in the library. */
  readonly pictures: readonly [PictureStep, PictureStep, PictureStep];
}

export const alone = { is: 'alone', for: '' } as const;
export const nearby = (why: string): HowTo['presence'] => ({ is: 'nearby', for: why });
export const needed = (why: string): HowTo['presence'] => ({ is: 'needed', for: why });

/** Most lines a helper reads, and most on a table card. */
export const mostLines = 12;
export const mostCardLines = 5;

/** What is wrong with rules that somebody wrote; null when a helper can read them. */
export const tooManyLines = (lines: readonly string[]): string | null =>
  lines.length <= mostLines
    ? null
    : `${lines.length} lines; ${mostLines} are enough for a helper. Line ${mostLines + 1} begins “${lines[mostLines]!.slice(0, 40)}”: put what goes beyond into the notes.`;

/** The five lines of the table card in the order of play: every rule, the shortest neighbours of one section sharing a line. */
export function cardLines(h: HowTo): string[] {
  const sections: string[][] = [[...h.setUp], [...h.turn], [...h.scoring, h.end]];
  while (sections.flat().length > mostCardLines) {
    const pairs = sections.flatMap((lines) => lines.slice(1).map((line, i) => ({ lines, i, long: lines[i]!.length + line.length })));
    const { lines, i } = pairs.reduce((best, p) => (best.long <= p.long ? best : p));
    lines.splice(i, 2, `${lines[i]!} ${lines[i + 1]!}`);
  }
  return sections.flat();
}

/** Younger children need somebody in sight, the youngest somebody at the table (common practice, no source). */
export function presenceFor(h: Pick<HowTo, 'presence'>, ages: readonly [number, number]): HowTo['presence'] {
  if (h.presence.is === 'needed') return h.presence;
  if (ages[1] <= 6) return needed(h.presence.for || 'plays along and keeps the turns');
  if (ages[0] <= 5 && h.presence.is === 'alone') return nearby('looks in on the youngest');
  return h.presence;
}
