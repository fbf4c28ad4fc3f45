import { shippedKinds } from '../../contract/shippedData';
import type { Db } from './db';
import { kinds } from './schema';

/** Brings the shipped kinds of material in; quantities and the owner's own kinds stay. */
export function seedKinds(db: Db): void {
  db.transaction((tx) => {
    for (const k of shippedKinds) {
      const row = {
        id: k.id,
        title: k.title,
        alsoCalled: [...k.alsoCalled],
        unit: k.unit,
        smallParts: k.smallParts,
        plentiful: k.plentiful,
        caution: k.caution ?? null,
        shipped: true,
      };
      tx.insert(kinds).values(row).onConflictDoUpdate({ target: kinds.id, set: row }).run();
    }
  });
}
