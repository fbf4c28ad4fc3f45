import type { SkillInput } from './ownSkillStore';

/** A skill an owner might add. */
export const sumsToNine: SkillInput = {
  title: 'Sums to nine',
  looksLike: 'Knows what goes with six.',
  strand: 'add',
  nature: 'by-heart',
  wantedAt: { us: 6.9, england: 6 },
  prerequisites: [{ id: 'add-in-5', sort: 'idea' }],
  predicate: { op: 'add', result: [9, 9] },
};
