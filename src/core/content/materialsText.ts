import { mostPacks } from './lenient';

/** Things that are counted by the pack. */
export const inPacks: ReadonlySet<string> = new Set(['pack', 'deck', 'set']);

/**
 * Things a version is played with as `RowReader` reads them again. More packs than anybody lays on a table are written out as
 * packs: "20 coins" alone would be read as one set of twenty.
 *
 * @example
 * materialsText([{ kind: 'coins', quantity: 20, unit: 'set' }, { kind: 'pip-die', quantity: 2, unit: 'piece' }]); // => '20 sets of coins; 2 pip-die'
 */
export const materialsText = (things: readonly { readonly kind: string; readonly quantity: number; readonly unit: string }[]): string =>
  things
    .map(({ kind, quantity, unit }) =>
      inPacks.has(unit) && quantity > mostPacks ? `${quantity} ${unit}s of ${kind}` : `${quantity} ${kind}`,
    )
    .join('; ');
