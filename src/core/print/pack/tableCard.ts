import { type Box, line, polygon, rect, shift, text } from '../box';
import type { PictureStep } from '../../play/picture';
import { clipped, fitted } from '../letters';
import { noteResults, noteSign } from '../pictures/noteSign';
import { drawStep } from '../pictures/step';
import { type Block, gap, stacked, words } from './bookPages';
import { body, head, small } from './letterSizes';

/** A seat as it stands on a table card. */
export interface PackSeat {
  readonly name: string;
  readonly version: string;
  /** What to lay beside; empty for nothing. */
  readonly tool: string;
  /** The step a note would be about, in few words; empty where the seat is for none. */
  readonly step: string;
  /** Looked at first: that note tells most. */
  readonly first: boolean;
  readonly partner: string;
}
export interface PackTable {
  readonly round: number;
  readonly table: number;
  readonly title: string;
  readonly presence: string;
  readonly seats: readonly PackSeat[];
  /** Five lines for each version played here. */
  readonly rules: readonly { readonly version: string; readonly lines: readonly string[] }[];
  /** Three pictures for children who do not read yet; none where all of them do. */
  readonly pictures: readonly PictureStep[];
  readonly ask: string;
  readonly stuck: string;
  readonly timeUp: string;
  readonly cautions: readonly string[];
  /** What to play on with where a game ends early; empty where it does not. */
  readonly then: string;
  /** What is typed in to find this card's page again. */
  readonly strip: string;
  /** What to do where something of the game is missing; empty where nobody has worked it out. */
  readonly missing: string;
}
/** Below this a word is cut rather than made smaller. */
const least = 7.5;

/** Three signs instead of verdicts: a child who sees the card reads no mark in them. */
const signs = (x: number, y: number): Box[] => noteResults.flatMap((result, i) => noteSign(result, x + i * 11, y, 2.2));

const arrow = (x: number, y: number): Box =>
  polygon(
    [
      [x, y - 1.8],
      [x + 3, y],
      [x, y + 1.8],
    ],
    { fill: 'vermilion' },
  );

/** Who sits here with what, and a place for one sign each. */
function seatRows(seats: readonly PackSeat[], w: number, k: number): Block {
  const step = 7.5;
  const [name, version, tool, aim, marks] = [4, w * 0.17, w * 0.47, w * 0.63, w - 28];
  const rows = seats.flatMap((s, i): Box[] => {
    const y = 5 + i * step;
    const cell = (x: number, to: number, say: string, most: number, bold = false): Box[] => {
      if (say === '') return [];
      const room = to - x - 2;
      // Smaller letters before a word is cut.
      const size = [most, most - 1, most - 2, least].find((s) => clipped(say, room, s, bold) === say) ?? least;
      return [text(x, y, room, step, clipped(say, room, size, bold), size, { align: 'start', ...(bold ? { bold } : {}) })];
    };
    return [
      ...(s.first ? [arrow(0, y + step / 2)] : []),
      ...cell(name, version, s.name, Math.min(13, body * k), true),
      ...cell(version, tool, s.version + (s.partner ? ` · with ${s.partner}` : ''), small * Math.min(k, 1.1)),
      ...cell(tool, aim, s.tool, small * Math.min(k, 1.1)),
      ...cell(aim, marks - 4, s.step, small * Math.min(k, 1.1)),
      ...(s.step ? signs(marks, y + step / 2) : []),
      line(0, y + step, w, y + step, { line: 'pale', width: 0.2 }),
    ];
  });
  const heads = (
    [
      [name, 'who'],
      [version, 'version'],
      [tool, 'lay beside'],
      [aim, 'look for'],
    ] as const
  ).map(([x, say]) => text(x, 0, 40, 4, say, 8, { align: 'start', fill: 'soft' }));
  return { height: 6 + seats.length * step, boxes: [...heads, ...rows] };
}

/** A card for one table: who, how, what to ask, how to stop; its letters `k` times as large as they must be. */
export function tableCard(t: PackTable, w: number, k = 1): Block {
  const several = t.rules.length > 1;
  return stacked([
    {
      height: 9,
      boxes: [
        text(0, 0, w * 0.5, 7, clipped(t.title, w * 0.48, head, true), head, { bold: true, align: 'start' }),
        text(w * 0.5, 0, w * 0.5, 7, `round ${t.round} · table ${t.table} · ${t.presence} · strip ${t.strip}`, small, {
          align: 'end',
          fill: 'soft',
        }),
      ],
    },
    seatRows(t.seats, w, k),
    gap(1),
    ...(t.pictures.length > 0 ? [threePictures(t.pictures, w)] : []),
    ...t.rules.flatMap((r) => [
      ...(several ? [words(w, r.version, small * k, { bold: true }, 0.5)] : []),
      ...r.lines.map((say, i) => numbered(i + 1, say, w, k)),
      gap(1),
    ]),
    words(w, `Ask: “${t.ask}” Stuck? ${t.stuck}`, small * k, {}, 0.8),
    words(w, `When time is up: ${t.timeUp}${t.then ? ` Done early? ${t.then}` : ''}`, small * k, {}, 0.8),
    ...(t.missing ? [words(w, `Something missing? ${t.missing}`, small * k, {}, 0.8)] : []),
    ...(t.cautions.length > 0 ? [words(w, t.cautions.join(' '), small, { bold: true }, 0.8)] : []),
    gap(2),
  ]);
}

/** Three pictures in a row with what a helper says to each. */
function threePictures(steps: readonly PictureStep[], w: number): Block {
  const [pw, ph] = [w / steps.length - 3, 26];
  return {
    height: ph + 8,
    boxes: steps.flatMap((s, i): Box[] => {
      const x = i * (pw + 4.5);
      return [
        rect(x, 0, pw, ph, { line: 'pale', width: 0.3 }),
        ...drawStep(s.picture, x + 2, 1.5, pw - 4, ph - 3),
        fitted(x, ph + 1, pw, 5, s.say, { most: small }),
      ];
    }),
  };
}

function numbered(n: number, say: string, w: number, k: number): Block {
  const p = words(w - 6, say, body * k, {}, 0.6);
  return {
    height: p.height,
    boxes: [text(0, 0, 5, 5.2, String(n), small, { align: 'start', fill: 'soft' }), ...shift(p.boxes, 6, 0)],
  };
}
