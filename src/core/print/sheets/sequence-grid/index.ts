import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA, type SequenceParameters } from '../../../mechanisms/sequence-grid/parameters';
import { sequenceGrid } from '../../../mechanisms/sequence-grid';
import { parameters, whole } from '../../../play/parameters';
import { uniform } from '../../../shared/rng';
import { type Box, rect } from '../../box';
import { numeral, written } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';
import { nameLine, nameRoom } from '../writing';

const own = parameters({ grids: whole('Grids on the page', 1, 4, 2) });
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
interface Cell {
  readonly n: number;
  readonly blank: boolean;
}
const isBlank = (p: SequenceParameters, i: number, chance: number): boolean => {
  const [row, column] = [Math.floor(i / p.columns), i % p.columns];
  switch (p.blanks) {
    case 'every-other':
      return i % 2 === 1;
    case 'a-row':
      return row % 2 === 1;
    case 'a-column':
      return column % 2 === 1;
    case 'all-but-first':
      return i > 0;
    case 'scattered':
      return i > 0 && chance * 100 < p.share;
  }
};

export default sheetKind<P, readonly Cell[]>({
  id: 'sequence-grid',
  title: 'Sequence grid',
  about: 'Numbers by a step, forward or back, over tens and hundreds, with cells left blank.',
  group: 'to write on',
  forFamilies: ['sequence-grid'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => sequenceGrid.check(p),
  make: (p, { rng }) =>
    Array.from({ length: p.rows * p.columns }, (_, i) => ({
      n: p.start + (p.direction === 'forward' ? 1 : -1) * p.step * i,
      blank: isBlank(p, i, uniform(rng)),
    })),
  verify: (made, p) => {
    const faults: string[] = [];
    if (made.length !== p.rows * p.columns) faults.push('A cell is missing.');
    if (made.some((c, i) => i > 0 && Math.abs(c.n - made[i - 1]!.n) !== p.step)) faults.push(`The numbers do not go by ${p.step}.`);
    if (made.every((c) => !c.blank)) faults.push('No cell is left to fill.');
    if (made.filter((c) => !c.blank).length < 1) faults.push('Nothing is given to start from.');
    return faults;
  },
  checked: (made, p) => `${made.length} cells by ${p.step}, ${made.filter((c) => c.blank).length} of them blank, the first one given.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
  key: (made) => [
    made
      .filter((c) => c.blank)
      .map((c) => written(c.n))
      .join(', '),
  ],
});

function page(made: readonly Cell[], p: P, { w, h, large }: Drawing): Box[] {
  const grids = large ? 1 : p.grids;
  const gh = (h - nameRoom) / grids;
  const s = Math.min(w / p.columns, (gh - 8) / p.rows, 30);
  const left = (w - s * p.columns) / 2;
  return [
    ...nameLine(w),
    ...Array.from({ length: grids }, (_, g) => g).flatMap((g): Box[] =>
      made.flatMap((c, i): Box[] => {
        const [x, y] = [left + (i % p.columns) * s, nameRoom + g * gh + Math.floor(i / p.columns) * s];
        return [
          rect(x, y, s, s, { line: 'ink', width: 0.4, frame: true }),
          ...(c.blank ? [] : numeral(x + s * 0.12, y + s * 0.28, s * 0.76, s * 0.44, written(c.n), { most: 30, level: true })),
        ];
      }),
    ),
  ];
}
