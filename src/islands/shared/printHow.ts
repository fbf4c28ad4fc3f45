import { readKept, writeKept } from './kept';

/** How this owner prints: the same for the next set, and the next time. */
export interface PrintHow {
  readonly paper: 'a4' | 'letter' | null;
  readonly ink: 'colour' | 'black' | 'thin';
  readonly duplex: 'none' | 'long' | 'short';
  readonly form: 'usual' | 'large' | 'blank';
  readonly gutter: number;
}
const usual: PrintHow = { paper: null, ink: 'colour', duplex: 'none', form: 'usual', gutter: 0 };
const place = 'zeitgeber.print';

/** What was chosen last; the size is chosen for each set. */
export const keptHow = (): PrintHow => ({ ...usual, ...readKept<Partial<PrintHow>>(place, {}), form: 'usual' });
export const keepHow = (how: PrintHow): void => writeKept(place, how);

/** Where the desk keeps what waits to be printed, and what is printed and not cut yet. */
export const printLists = { waiting: 'zeitgeber.print.list', printed: 'zeitgeber.print.printed' } as const;

/** Takes a child's name off the sheets that this browser keeps for the desk; the sheets stay. */
export function forgetOnSheets(nickname: string): void {
  for (const at of Object.values(printLists)) {
    const sets = readKept<readonly { readonly asked: { readonly label?: string } }[]>(at, []);
    if (sets.some((s) => s.asked.label === nickname))
      writeKept(
        at,
        sets.map((s) => (s.asked.label === nickname ? { ...s, asked: { ...s.asked, label: '' } } : s)),
      );
  }
}

/** Paper and ink for what is printed outside the desk: as was chosen there last, else the paper of the country. */
export function paperAndInk(): { readonly ink: PrintHow['ink']; readonly paper?: 'a4' | 'letter' } {
  const { paper, ink } = keptHow();
  return { ink, ...(paper ? { paper } : {}) };
}
/** The paper alone, where nothing but lines and letters is printed. */
export function paperKept(): { readonly paper?: 'a4' | 'letter' } {
  const { ink: _, ...paper } = paperAndInk();
  return paper;
}
