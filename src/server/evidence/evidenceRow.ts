import type { Evidence } from '../../core/mastery/evidence';
import { localDay, localTime } from '../../core/shared/moments';
import type { evidence } from '../db/schema';
import { zoneHere } from '../shared/clock';

export type EvidenceRow = typeof evidence.$inferSelect;

/** A note as the estimator reads it: at the day and hour on the wall. */
export const asEvidence = (row: EvidenceRow): Evidence => ({
  id: row.id,
  at: localTime(row.at, zoneHere()),
  kind: row.kind,
  skill: row.skill,
  result: row.result,
  correct: row.correct,
  total: row.total,
  how: row.how,
  support: row.support,
  items: row.items,
  by: { role: row.byRole, ownChild: row.byOwnChild },
});

/** The day on the wall on which something was seen. */
export const dayOf = (row: Pick<EvidenceRow, 'at'>): string => localDay(row.at, zoneHere());
