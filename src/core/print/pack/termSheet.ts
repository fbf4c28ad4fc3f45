import { rect, shift } from '../box';
import type { SheetPage } from '../sheetPage';
import type { Paper } from '../paper';
import { type Block, bookPages, gap, rule, stacked, textWidthOf, words } from './bookPages';

/** A meeting as it hangs on a wall: when, and what is played. */
export interface SheetMeeting {
  readonly day: string;
  readonly time: string;
  /** Why nobody meets; empty where somebody does. */
  readonly off: string;
  readonly games: readonly string[];
}
export interface SheetWeek {
  readonly title: string;
  readonly meetings: readonly SheetMeeting[];
}

const body = 11;
const small = 9.5;

/** The weeks of a term, or one of them in larger letters, to hang on a wall: no names, so that anybody may read it. */
export function termSheet(title: string, weeks: readonly SheetWeek[], paper: Paper): SheetPage[] {
  const w = textWidthOf(paper);
  const k = weeks.length === 1 ? 1.6 : 1;
  const meeting = (m: SheetMeeting): Block => {
    const side = w * 0.38;
    const when = words(side - 6, `${m.day}${m.time ? `, ${m.time}` : ''}`, body * k, { bold: m.off === '' }, 0);
    const what = words(
      w - side,
      m.off || (m.games.length > 0 ? m.games.join(' · ') : 'not planned yet'),
      body * k,
      m.off ? { fill: 'soft' } : {},
      0,
    );
    const height = Math.max(when.height, what.height) + 2 * k;
    return {
      height,
      boxes: [rect(0, 1.2, 3, 3, { line: m.off ? 'pale' : 'ink', width: 0.4 }), ...shift(when.boxes, 6, 0), ...shift(what.boxes, side, 0)],
    };
  };
  return bookPages(
    [
      words(w, title, 20, { bold: true }, 2),
      ...weeks.map((week) =>
        stacked([words(w, week.title, small * k, { fill: 'soft' }, 0.5), ...week.meetings.map(meeting), rule(w), gap(k)]),
      ),
    ],
    paper,
    title,
  );
}
