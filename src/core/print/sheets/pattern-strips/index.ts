import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/continue-the-pattern/parameters';
import { continueThePattern } from '../../../mechanisms/continue-the-pattern';
import { between } from '../../../play/deck';
import { parameters, whole } from '../../../play/parameters';
import { below, shuffle } from '../../../shared/rng';
import { type Box, circle, polygon, rect, text } from '../../box';
import { numeral } from '../../pictures/numeral';
import { sheetKind } from '../../sheetKind';

const own = parameters({ count: whole('Strips', 1, 60, 8) });
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
/** Members of a pattern in order: looks by number, or sizes that grow; one place may be empty. */
interface Strip {
  readonly grows: boolean;
  readonly members: readonly number[];
  readonly core: number;
  readonly empty: number | null;
  readonly next: number;
}
/** The longest strip that a child still sees at once. */
const mostShown = 12;

export default sheetKind<P, readonly Strip[]>({
  id: 'pattern-strips',
  title: 'Pattern strips',
  about: 'Patterns that repeat or grow, to go on with or with one place missing.',
  group: 'to solve',
  forFamilies: ['continue-the-pattern'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => continueThePattern.check(p),
  make: (p, { rng }) =>
    Array.from({ length: p.count }, (): Strip => {
      const shown = Math.min(p.shown, mostShown);
      const grows = p.kind === 'grows' || (p.kind === 'either' && below(rng, 2) === 0);
      if (grows) {
        const [first, step] = [between(rng, 1, 5), between(rng, 1, p.step)];
        const members = Array.from({ length: shown }, (_, i) => first + i * step);
        return {
          grows,
          members,
          core: step,
          empty: p.asks === 'what-is-missing' ? between(rng, 1, shown - 2) : null,
          next: first + shown * step,
        };
      }
      const core = between(rng, p.shortest, p.longest);
      const looks = [0, 1, 2, 3, 4, 5];
      shuffle(rng, looks, looks.length);
      // The first two differ, so that the part that repeats can be seen; further ones may come back.
      const unit = [looks[0]!, looks[1]!, ...Array.from({ length: Math.max(0, core - 2) }, () => looks[below(rng, 3)]!)].slice(0, core);
      const members = Array.from({ length: shown }, (_, i) => unit[i % core]!);
      return {
        grows,
        members,
        core,
        empty: p.asks === 'what-is-missing' ? between(rng, core, shown - 1) : null,
        next: unit[shown % core]!,
      };
    }),
  verify: (made, p) => [
    ...(made.length === p.count ? [] : ['A strip is missing.']),
    ...made.flatMap((s, i) => {
      const right = s.grows
        ? s.members.every((n, k) => k === 0 || n - s.members[k - 1]! === s.core)
        : s.members.every((n, k) => k < s.core || n === s.members[k - s.core]!);
      const next = s.grows ? s.members.at(-1)! + s.core : s.members[s.members.length % s.core]!;
      return [
        ...(right ? [] : [`Strip ${i + 1} breaks its own rule.`]),
        ...(next === s.next ? [] : [`Strip ${i + 1} goes on otherwise.`]),
        ...(s.grows || s.members.length >= 2 * s.core ? [] : [`Strip ${i + 1} does not show its part twice.`]),
      ];
    }),
  ],
  checked: (made) => `${made.length} strips; each shows its part twice at least, or grows by one step throughout.`,
  draw: (made) => ({
    pieces: [
      {
        w: 184,
        h: 26,
        count: made.length,
        face: (n, { w, h }) => strip(made[n]!, n, w, h),
        back: (n, { w, h }) => [
          text(3, 2, 12, 5, String(n + 1), 9, { align: 'start', fill: 'soft', frame: true }),
          ...member(made[n]!.grows, made[n]!.empty === null ? made[n]!.next : made[n]!.members[made[n]!.empty]!, w / 2 - 8, 4, 16, h - 8),
        ],
      },
    ],
  }),
});

function strip(s: Strip, n: number, w: number, h: number): Box[] {
  const cell = Math.min(h - 8, (w - 14) / (s.members.length + 1));
  return [
    text(2, 2, 10, 5, String(n + 1), 9, { align: 'start', fill: 'soft', frame: true }),
    ...s.members.flatMap((m, i): Box[] =>
      s.empty === i
        ? [rect(11 + i * cell + 1, (h - cell) / 2 + 1, cell - 2, cell - 2, { line: 'vermilion', width: 0.5, dashed: true })]
        : member(s.grows, m, 11 + i * cell, (h - cell) / 2, cell, cell),
    ),
    ...(s.empty === null
      ? [rect(11 + s.members.length * cell + 1, (h - cell) / 2 + 1, cell - 2, cell - 2, { line: 'vermilion', width: 0.5, dashed: true })]
      : []),
  ];
}

/** A look is told by its shape; colour only helps. */
function member(grows: boolean, m: number, x: number, y: number, w: number, h: number): Box[] {
  if (grows) return numeral(x + 1, y + h * 0.2, w - 2, h * 0.6, String(m), { most: 26 });
  const [cx, cy, r] = [x + w / 2, y + h / 2, Math.min(w, h) * 0.38];
  switch (m) {
    case 0:
      return [circle(cx, cy, r, { fill: 'teal' })];
    case 1:
      return [rect(cx - r * 0.88, cy - r * 0.88, r * 1.76, r * 1.76, { fill: 'vermilion' })];
    case 2:
      return [
        polygon(
          [
            [cx, cy - r],
            [cx + r, cy + r * 0.8],
            [cx - r, cy + r * 0.8],
          ],
          { fill: 'indigo' },
        ),
      ];
    case 3:
      return [
        polygon(
          [
            [cx, cy - r],
            [cx + r, cy],
            [cx, cy + r],
            [cx - r, cy],
          ],
          { line: 'ink', width: 0.8, fill: 'white' },
        ),
      ];
    case 4:
      return [circle(cx, cy, r * 0.85, { line: 'ochre', width: 1.4, fill: 'white' })];
    default:
      return [rect(cx - r, cy - r * 0.3, 2 * r, 0.6 * r, { fill: 'plum' }), rect(cx - r * 0.3, cy - r, 0.6 * r, 2 * r, { fill: 'plum' })];
  }
}
