import type { Offer } from './offer';

/** What a game must allow for, by child. Speed is the other way round: it must be welcomed. */
export const accommodations = [
  'speed-welcome',
  'no-playing-cards',
  'right-way-up',
  'little-reading',
  'easy-to-hold',
  'not-by-colour',
] as const;
export type Accommodation = (typeof accommodations)[number];

/** Rule families that reward the fastest. */
const racing = ['call-and-claim'];
/** Rule families that ask for reading at the table. */
const reading = ['story-cards', 'task-hunt'];
/** Rule families that ask for exact placing or colouring, and small things that many must be laid of. */
const exactHands = ['stack-or-line-up', 'mirror-it', 'cover-the-shape'];
const smallThings = ['pegs', 'linking-cubes', 'two-colour-counters', 'coins', 'unit-tiles'];
const manySmall = 10;
/** Rule families whose things are told apart by colour alone, unless the parameter beside them is off. */
const byColour: Readonly<Record<string, string | null>> = { 'split-and-spill': null, 'edge-tiles': 'sameColour' };

/** What keeps a version from a child, or null. */
export function notFor(
  offer: Pick<Offer, 'mechanism' | 'parameters' | 'materials' | 'helper'>,
  child: readonly Accommodation[],
): 'speed' | Exclude<Accommodation, 'speed-welcome'> | null {
  if (
    offer.mechanism !== null &&
    racing.includes(offer.mechanism) &&
    offer.parameters['form'] === 'race' &&
    !child.includes('speed-welcome')
  )
    return 'speed';
  if (child.includes('no-playing-cards') && offer.materials.some((m) => m.kind === 'playing-cards')) return 'no-playing-cards';
  if (child.includes('right-way-up') && offer.mechanism === 'edge-tiles' && offer.parameters['turning'] === true) return 'right-way-up';
  if (child.includes('little-reading') && offer.mechanism !== null && reading.includes(offer.mechanism) && offer.helper === 'alone')
    return 'little-reading';
  if (child.includes('easy-to-hold') && offer.helper === 'alone' && asksForSmallHands(offer)) return 'easy-to-hold';
  if (child.includes('not-by-colour') && offer.mechanism !== null && offer.mechanism in byColour) {
    const rule = byColour[offer.mechanism]!;
    if (rule === null || offer.parameters[rule] === true) return 'not-by-colour';
  }
  return null;
}

/** Exact placing, or many small things to lay. */
function asksForSmallHands(offer: Pick<Offer, 'mechanism' | 'materials'>): boolean {
  return (
    (offer.mechanism !== null && exactHands.includes(offer.mechanism)) ||
    offer.materials.some((m) => smallThings.includes(m.kind) && m.quantity >= manySmall)
  );
}
