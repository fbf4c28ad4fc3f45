import type { Mark, Page } from '../group/groupPages';
import type { CoverageState } from './standardsCovered';

/** One expectation as it is printed. */
export interface PrintedStandard {
  readonly code: string;
  readonly band: string;
  readonly statement: string;
  readonly state: CoverageState;
  /** Its best game in words; empty where it has none. */
  readonly best: string;
  readonly ready: number;
}

export interface CoverageSheet {
  readonly title: string;
  readonly day: string;
  readonly paper?: 'a4' | 'letter';
  readonly standards: readonly PrintedStandard[];
  /** The codes were compared with the owner’s document: so many of them; null for a framework she brought in. */
  readonly compared: number | null;
}

const papers = { a4: { widthMm: 210, heightMm: 297 }, letter: { widthMm: 215.9, heightMm: 279.4 } } as const;
const marginMm = 14;
const lineMm = 4.6;
const small = 7.5;
const plain = 9.5;
/** Letters a line of so many millimetres holds at a size in points, on the safe side. */
const fits = (widthMm: number, size: number): number => Math.floor(widthMm / (size * 0.19));

const letters: Readonly<Record<CoverageState, string>> = { none: '–', there: 'g', planned: 'p', played: 'y', seen: 'n' };
const words: Readonly<Record<CoverageState, string>> = {
  none: 'no game',
  there: 'a game is there',
  planned: 'planned',
  played: 'played',
  seen: 'played and noted',
};
const states = Object.keys(letters) as CoverageState[];

const cut = (text: string, most: number): string => (text.length <= most ? text : `${text.slice(0, Math.max(1, most - 2)).trimEnd()} …`);

/**
 * Two pages for somebody who was not there: on the first every code by grade with how far it has come, counts and what the
 * letters mean; on the second what has no game, those first for which children are ready, in the owner’s words, and how it
 * was made.
 */
export function coveragePages(sheet: CoverageSheet): Page[] {
  const paper = papers[sheet.paper ?? 'a4'];
  const width = paper.widthMm - marginMm * 2;
  const bands = [...new Set(sheet.standards.map((s) => s.band))];
  const text = (x: number, y: number, size: number, words: string, bold = false): Mark => ({ kind: 'text', x, y, size, text: words, bold });
  const count = (list: readonly PrintedStandard[], state: CoverageState): number => list.filter((s) => s.state === state).length;
  const withGame = sheet.standards.length - count(sheet.standards, 'none');

  const first: Mark[] = [
    text(marginMm, marginMm + 5, 16, cut(`Coverage: ${sheet.title}`, fits(width, 16)), true),
    text(marginMm, marginMm + 12, plain, `${sheet.day}. ${withGame} of ${sheet.standards.length} expectations have a game on the shelf.`),
    text(marginMm, marginMm + 17, small, states.map((s) => `${letters[s]} ${words[s]} (${count(sheet.standards, s)})`).join('   ')),
  ];
  const columnMm = width / Math.max(1, bands.length);
  const top = marginMm + 26;
  const rows = Math.floor((paper.heightMm - marginMm - top - 12) / lineMm);
  bands.forEach((band, b) => {
    const own = sheet.standards.filter((s) => s.band === band);
    const x = marginMm + b * columnMm;
    first.push(text(x, top, plain, `${band || 'all'}  ${own.length - count(own, 'none')}/${own.length}`, true));
    own
      .slice(0, rows)
      .forEach((s, i) =>
        first.push(
          text(x, top + 6 + i * lineMm, small, `${letters[s.state]} ${cut(s.code, fits(columnMm - 3, small))}`, s.state === 'none'),
        ),
      );
    if (own.length > rows) first.push(text(x, top + 6 + rows * lineMm, small, `and ${own.length - rows} more`));
  });

  const holes = sheet.standards.filter((s) => s.state === 'none').sort((x, y) => y.ready - x.ready);
  const second: Mark[] = [
    text(marginMm, marginMm + 5, 14, holes.length === 0 ? 'Nothing is without a game' : `Without a game: ${holes.length}`, true),
  ];
  const foot = 30;
  const room = Math.floor((paper.heightMm - marginMm * 2 - 12 - foot) / lineMm);
  holes.slice(0, room).forEach((s, i) => {
    const y = marginMm + 13 + i * lineMm;
    second.push(text(marginMm, y, small, cut(s.code, fits(24, small)), true));
    second.push(text(marginMm + 26, y, small, cut(s.statement, fits(width - 56, small))));
    if (s.ready > 0)
      second.push(text(paper.widthMm - marginMm - 28, y, small, s.ready === 1 ? '1 child is ready' : `${s.ready} children are ready`));
  });
  if (holes.length > room)
    second.push(text(marginMm, marginMm + 13 + room * lineMm, small, `and ${holes.length - room} more, in the CSV of the same page`));
  const said = [
    'How it was made: a game counts where one of its versions gives a child at least two chances in ten minutes on a step that stands for',
    'the expectation, calculated from simulated games or in the owner’s own word. A chance to practise is not proof that anything was learnt.',
    sheet.compared === null
      ? 'The codes are those of the framework that was brought in; the words are its own.'
      : `The words are our own. ${sheet.compared} of ${sheet.standards.length} codes were compared with the official document; the others are from memory.`,
  ];
  said.forEach((line, i) =>
    second.push(text(marginMm, paper.heightMm - marginMm - foot + 12 + i * lineMm, small, cut(line, fits(width, small)))),
  );
  return [first, second].map((marks) => ({ ...paper, marks }));
}
