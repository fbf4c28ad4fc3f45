import { line, rect, shift, text } from '../box';
import { wrapped } from '../letters';
import { noteResults, noteSign } from '../pictures/noteSign';
import type { Paper } from '../paper';
import type { SheetPage } from '../sheetPage';
import { body, head, small } from './letterSizes';
import { type PackTable, tableCard } from './tableCard';
import { type Block, bookPages, gap, rule, stacked, textHeightOf, textWidthOf, words } from './bookPages';

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
}

/** Letters of a table card grow as far as half a page allows: it is read standing up. */
const scales = [1.35, 1.2, 1.1, 1];

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
    return { height: inner.height, boxes: shift(inner.boxes, i * cw, 0) };
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
            ...shift(p.boxes, 6, 0),
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
      boxes: [...a.boxes, ...shift(b?.boxes ?? [], cw, 0)],
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
