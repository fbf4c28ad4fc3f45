import { type Box, line, polygon, rect, text } from '../box';
import type { PictureStep } from '../../play/picture';
import { clipped, fitted, wrapped } from '../letters';
import { noteResults, noteSign } from '../pictures/noteSign';
import { drawStep } from '../pictures/step';
import type { Paper } from '../paper';
import type { SheetPage } from '../layOut';
import { type Block, bookPages, gap, rule, stacked, textHeightOf, textWidthOf, words } from './bookPages';

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
/** What is done when something goes wrong, for the back of the plan. */
export interface PackPlanB {
  readonly when: string;
  readonly say: readonly string[];
}
export interface SessionPack {
  readonly title: string;
  readonly day: string;
  readonly minutes: number;
  readonly tables: readonly PackTable[];
  readonly resting: readonly { readonly round: number; readonly say: string }[];
  readonly gather: readonly {
    readonly bin: string;
    readonly items: readonly { readonly say: string; readonly state: 'there' | 'short' | 'missing' }[];
  }[];
  readonly cautions: readonly string[];
  readonly planB: readonly PackPlanB[];
  /** How and when plan B was made, in words. */
  readonly planBMade: string;
  /** Sets that follow in this file, with their sheets. */
  readonly sets: readonly string[];
  /** Sets that could not be made, with the reason. */
  readonly refused: readonly string[];
  /** Answers of the sets, for whoever keeps them. */
  readonly keys: readonly { readonly title: string; readonly lines: readonly string[] }[];
}

const least = 7.5;
const small = 9.5;
const body = 11;
const head = 14;
/** Letters of a table card grow as far as half a page allows: it is read standing up. */
const scales = [1.35, 1.2, 1.1, 1];

/** Three signs instead of verdicts: a child who sees the card reads no mark in them. */
const signs = (x: number, y: number): Box[] => noteResults.flatMap((result, i) => noteSign(result, x + i * 11, y, 2.2));

/** What the signs say, for whoever holds the plan. */
function legend(w: number): Block {
  const said = { stuck: 'stuck', support: 'with help', alone: 'on their own' } as const;
  const step = 30;
  return {
    height: 8,
    boxes: [
      text(0, 0, 60, 5, 'Tick one sign a child, or none:', small, { align: 'start' }),
      ...noteResults.flatMap((result, i) => [
        ...noteSign(result, 56 + i * step, 2.6, 2),
        text(59.5 + i * step, 0, step - 5, 5, said[result], small, { align: 'start' }),
      ]),
      text(56 + 3 * step, 0, w - 56 - 3 * step, 5, 'the arrow: look there first', small, { align: 'end' }),
    ],
  };
}

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
    boxes: [text(0, 0, 5, 5.2, String(n), small, { align: 'start', fill: 'soft' }), ...p.boxes.map((b) => ({ ...b, x: b.x + 6 }))],
  };
}

/** The plan on one page: a column a round, who plays what where. */
function cover(pack: SessionPack, w: number): Block[] {
  const rounds = [...new Set(pack.tables.map((t) => t.round))];
  const cw = w / rounds.length;
  const columns = rounds.map((r, i): Block => {
    const own = pack.tables.filter((t) => t.round === r);
    const rest = pack.resting.filter((x) => x.round === r);
    const inner = stacked([
      words(cw - 4, `Round ${r}`, head, { bold: true }, 1),
      ...own.map((t) =>
        stacked([
          words(cw - 4, `${t.table}  ${t.title}`, body, { bold: true }, 0),
          words(cw - 4, t.seats.map((s) => s.name).join(', '), small, {}, 2),
        ]),
      ),
      ...rest.map((x) => words(cw - 4, x.say, small, { fill: 'soft' }, 1)),
    ]);
    return { height: inner.height, boxes: inner.boxes.map((b) => ({ ...b, x: b.x + i * cw })) };
  });
  return [
    words(w, pack.title, 20, { bold: true }, 0),
    words(w, `${pack.day} · ${rounds.length} rounds of ${pack.minutes} minutes`, body, { fill: 'soft' }, 3),
    { height: Math.max(0, ...columns.map((c) => c.height)) + 3, boxes: columns.flatMap((c) => c.boxes) },
    legend(w),
    words(
      w,
      'Afterwards type the number of a strip in Zeitgeber (Go to, Ctrl K): its page takes the signs of the whole session.',
      small,
      {},
      2,
    ),
    ...(pack.cautions.length > 0 ? [words(w, pack.cautions.join(' '), small, { bold: true }, 2)] : []),
    rule(w),
  ];
}

/** The back of the plan: what is done when somebody is away, a game is not complete or time is short. */
function planBPage(pack: SessionPack, w: number): Block[] {
  return [
    words(w, 'Plan B', 20, { bold: true }, 0),
    words(w, pack.planBMade, body, { fill: 'soft' }, 3),
    ...pack.planB.flatMap((b) => [
      words(w, b.when, body, { bold: true }, 0.5),
      ...b.say.map((say) => words(w, say, small, {}, 0.4)),
      gap(2),
    ]),
  ];
}

/** Things of one bin that stand below each other; a fuller one goes on beside. */
const mostInColumn = 9;

function inColumns(bin: SessionPack['gather'][number]): SessionPack['gather'][number][] {
  if (bin.items.length <= mostInColumn) return [bin];
  const half = Math.ceil(bin.items.length / 2);
  return [
    { ...bin, items: bin.items.slice(0, half) },
    { bin: `${bin.bin}, more`, items: bin.items.slice(half) },
  ];
}

/** What to bring, bin by bin, in two columns, with a box to tick. */
function gather(pack: SessionPack, w: number): Block[] {
  const cw = w / 2;
  const bins = pack.gather.flatMap(inColumns).map((b): Block =>
    stacked([
      words(cw - 4, b.bin, body, { bold: true }, 0.5),
      ...b.items.map((it): Block => {
        const lines = wrapped(it.say, cw - 12, small).length;
        const p = words(cw - 12, it.say, small, {}, 0.4);
        const tone = it.state === 'there' ? 'ink' : 'vermilion';
        return {
          height: Math.max(5.2, p.height) + (lines > 1 ? 0.5 : 0),
          boxes: [
            rect(0, 0.6, 3.4, 3.4, { line: tone, width: 0.4, ...(it.state === 'missing' ? { dashed: true } : {}) }),
            ...p.boxes.map((x) => ({ ...x, x: x.x + 6 })),
          ],
        };
      }),
      gap(2),
    ]),
  );
  const rows: Block[] = [words(w, 'Gather', head, { bold: true }, 1)];
  for (let i = 0; i < bins.length; i += 2) {
    const [a, b] = [bins[i]!, bins[i + 1]];
    rows.push({
      height: Math.max(a.height, b?.height ?? 0),
      boxes: [
        ...a.boxes,
        ...(b?.boxes ?? []).map((x) => ({
          ...x,
          x: x.x + cw,
          ...(x.points ? { points: x.points.map(([px, py]) => [px + cw, py] as const) } : {}),
        })),
      ],
    });
  }
  return rows;
}

/** The pages of a pack that are not sheets to play on: the plan, what to gather, a card for every table. */
export function packPages(pack: SessionPack, paper: Paper): SheetPage[] {
  const w = textWidthOf(paper);
  const half = textHeightOf(paper) / 2 - 3;
  const cards = pack.tables.map((t): Block => {
    const card = scales.map((k) => tableCard(t, w, k)).find((c, i) => c.height <= half || i === scales.length - 1)!;
    // Two cards to a page where they are short enough, so that a page is cut once across its middle.
    return {
      height: card.height <= half ? half : card.height,
      boxes: [
        ...card.boxes,
        line(0, Math.max(half, card.height) - 2, w, Math.max(half, card.height) - 2, { line: 'pale', width: 0.3, dashed: true }),
      ],
    };
  });
  const foot = `${pack.title}, ${pack.day}`;
  const [first, ...rest] = bookPages(
    [
      ...cover(pack, w),
      ...gather(pack, w),
      ...(pack.sets.length > 0 ? [gap(2), words(w, `Printed with this: ${pack.sets.join('; ')}.`, small)] : []),
      ...pack.refused.map((why) => words(w, `Not printed: ${why}`, small, { bold: true })),
    ],
    paper,
    foot,
  );
  // Plan B comes right after the plan, so that it is on its back where both sides are printed.
  const back = pack.planB.length === 0 ? [] : bookPages(planBPage(pack, w), paper, `${foot}, plan B`);
  return [first!, ...back, ...rest, ...bookPages(cards, paper, foot)];
}

/** Answers, at the very end, where no child looks first. */
export function keyPages(pack: SessionPack, paper: Paper): SheetPage[] {
  if (pack.keys.length === 0) return [];
  const w = textWidthOf(paper);
  return bookPages(
    pack.keys.flatMap((k) => [
      words(w, `Answers: ${k.title}`, head, { bold: true }, 1),
      ...k.lines.map((say) => words(w, say, small, {}, 0.3)),
      gap(3),
    ]),
    paper,
    `${pack.title}, answers`,
  );
}
