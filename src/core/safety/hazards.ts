import type { PrepSort } from '../materials/gettingReady';

/**
 * What can hurt, and the usual caution. The words remind; the maker's age label and local rules decide.
 * Sizes and ages follow 16 CFR 1501 (small parts, under three), 16 CFR 1500.19 (marbles and small balls,
 * balloons under eight), 16 CFR 1262 and EN 71-1 (magnets), 16 CFR 1263 (button cells); knives, heat,
 * glue, glass and foods: common practice, no source.
 */
export const hazards = [
  'small-parts',
  'marbles',
  'magnets',
  'balloons',
  'batteries',
  'blades',
  'knives',
  'heat',
  'fumes',
  'glass',
  'allergy',
] as const;
export type Hazard = (typeof hazards)[number];

const cautions: Readonly<Record<Hazard, string>> = {
  'small-parts': 'Small parts: keep away from children under three; count out, count back.',
  marbles:
    'Marbles choke: keep away from children under three, and from those who still put things into their mouths; count out, count back.',
  magnets:
    'Strong magnets injure inside when swallowed: only ones too big for a small-parts cylinder; a grown-up counts them out and back.',
  balloons: 'Balloons suffocate: children under eight only with a grown-up beside; throw away broken pieces at once.',
  batteries: 'Button cells burn inside when swallowed: the lid must be screwed shut.',
  blades: 'Scissors: round tips for children, carried closed, counted back.',
  knives: 'Craft knives and guillotines are for grown-ups only; put them away before the children come.',
  heat: 'Hot: a grown-up uses it, away from the children, and lets it cool.',
  fumes: 'Fumes: a grown-up uses it by an open window, away from children; water-based ones for them.',
  glass: 'Glass breaks: take plastic, or a helper keeps it.',
  allergy: 'Ask about allergies; raw kidney beans are poisonous.',
};
const defers = 'The maker’s age label and local rules come first.';

/** The cautions of a thing in one line, or null where there is none. */
export const cautionOf = (of: readonly Hazard[]): string | null =>
  of.length === 0 ? null : [...of.map((h) => cautions[h]), defers].join(' ');

const ofWork: Partial<Record<PrepSort, readonly Hazard[]>> = { cut: ['blades', 'knives'], laminate: ['heat'], colour: ['fumes'] };

/** What to mind at a sort of work that gets a game ready, or null. */
export const cautionOfWork = (sort: PrepSort): string | null => cautionOf(ofWork[sort] ?? []);

/** Several cautions as lines to read once: none twice, and who decides only at the end. Empty where there is none. */
export function cautionsOnce(cautions: readonly string[]): string[] {
  const lines = [...new Set(cautions.map((c) => c.replace(defers, '').trim()))];
  return lines.length === 0 ? [] : [...lines.slice(0, -1), `${lines.at(-1)!} ${defers}`];
}
