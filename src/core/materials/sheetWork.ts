import type { SheetNeed } from '../mechanisms/mechanism';
import type { PrepStep } from './gettingReady';

/** How a sheet is made: how many pieces come of it, how many of them go on a page, and whether they are cut apart. */
interface Work {
  readonly what: string;
  readonly pieces: (data: Readonly<Record<string, unknown>>) => number;
  readonly aPage: number;
  readonly cut: boolean;
}

const num = (data: Readonly<Record<string, unknown>>, key: string, otherwise: number): number =>
  typeof data[key] === 'number' ? data[key] : otherwise;
const length = (data: Readonly<Record<string, unknown>>, key: string, otherwise: number): number =>
  Array.isArray(data[key]) ? (data[key] as unknown[]).length : otherwise;

const cards = (what: string, pieces: Work['pieces'], aPage = 9): Work => ({ what, pieces, aPage, cut: true });
const page = (what: string, aPage = 1): Work => ({ what, pieces: () => 1, aPage, cut: false });

/** Every sheet that families ask for. */
export const sheetWork: Readonly<Record<string, Work>> = {
  'number-cards': cards('number cards', (d) => Math.min(80, (num(d, 'high', 10) - num(d, 'low', 1) + 1) * num(d, 'copies', 1))),
  'fraction-cards': cards('fraction cards', () => 24),
  'pair-cards': cards('pair cards', (d) => 2 * length(d, 'pairs', 10)),
  'show-cards': cards('cards to gather', (d) => (num(d, 'high', 6) - num(d, 'low', 1) + 1) * num(d, 'each', 4)),
  'dot-cards': cards('dot cards', (d) => 3 * (num(d, 'high', 6) - num(d, 'low', 1) + 1)),
  'call-cards': cards('call cards', (d) => Math.min(40, length(d, 'numbers', 24))),
  'chain-cards': cards('chain cards', (d) => num(d, 'cards', 16)),
  'story-cards': cards('story cards', () => 16, 4),
  'task-cards': cards('task cards', (d) => num(d, 'tasks', 16), 8),
  'target-cards': cards('target cards', (d) => Math.max(12, 2 * num(d, 'count', 6)), 6),
  'match-halves': cards('halves', (d) => 2 * num(d, 'sets', 10), 12),
  'coin-cards': cards('coin cards', () => 12, 6),
  'place-cards': cards('place cards', () => 6),
  'figure-cards': cards('figure cards', (d) => num(d, 'count', 5), 4),
  'mirror-cards': cards('mirror cards', (d) => num(d, 'count', 4), 4),
  'pattern-strips': cards('pattern strips', (d) => num(d, 'count', 8), 8),
  'beam-tasks': cards('task cards', (d) => num(d, 'tasks', 6), 8),
  'edge-tiles': cards('tiles', (d) => num(d, 'tiles', 48), 12),
  'tile-strip': { what: 'tile strips', pieces: (d) => num(d, 'tiles', 9), aPage: 12, cut: true },
  'grid-cards': { what: 'grid cards', pieces: () => 1, aPage: 2, cut: true },
  'fraction-pieces': { what: 'fraction pieces', pieces: (d) => 16 * num(d, 'wholes', 1), aPage: 24, cut: true },
  'shape-cards': cards('shape cards', () => 16),
  'price-cards': cards('price cards', () => 24),
  'time-cards': cards('time cards', () => 24),
  'set-cards': cards('cards', (d) => 3 * length(d, 'groups', 8)),
  'net-sheet': { what: 'nets', pieces: () => 11, aPage: 4, cut: true },
  'product-board': page('a board'),
  'coordinate-grid': page('a grid'),
  'column-sheet': page('column sheets'),
  'colour-grid': page('colour grids', 2),
  'recording-sheet': page('recording sheets', 2),
  'sequence-grid': page('number grids', 2),
  'graph-sheet': page('graph sheets'),
  'measure-sheet': page('tables for lengths', 2),
  'place-columns': page('column sheets', 2),
  'fact-wheel': page('fact wheels', 2),
  'slot-row': page('rows of slots', 3),
  'hex-board': page('a board'),
  'track-board': page('a track'),
  'number-board': page('a number board'),
  'number-line': page('a number line', 2),
};

/** Minutes of work (common practice, no source): a page to print, a piece to cut, cards to sort and bag. */
const printPage = 0.3;
const cutPiece = 0.2;
const bagging = 1;

/**
 * What has to be done once so that these sheets are there: printing, cutting, bagging, each with
 * its minutes (whole, at least one). Sheets without copies cost nothing.
 */
export function preparationFor(sheets: readonly SheetNeed[]): PrepStep[] {
  let pages = 0;
  let pieces = 0;
  const printed: string[] = [];
  const cut: string[] = [];
  for (const s of sheets) {
    const work = sheetWork[s.sheet];
    if (!work || s.copies === 0) continue;
    const n = work.pieces(s.data) * s.copies;
    pages += Math.ceil(n / work.aPage);
    printed.push(work.what);
    if (!work.cut) continue;
    pieces += n;
    cut.push(work.what);
  }
  const steps: PrepStep[] = [];
  if (pages > 0)
    steps.push({
      sort: 'print',
      what: `${pages} ${pages === 1 ? 'page' : 'pages'}: ${printed.join(', ')}`,
      minutes: Math.max(1, Math.round(printPage * pages)),
    });
  if (pieces > 1) {
    steps.push({ sort: 'cut', what: `${pieces} pieces: ${cut.join(', ')}`, minutes: Math.max(1, Math.round(cutPiece * pieces)) });
    steps.push({ sort: 'bag', what: '', minutes: bagging });
  }
  return steps;
}
