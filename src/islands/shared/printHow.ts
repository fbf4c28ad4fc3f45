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

/** What was chosen last; the usual where nothing is kept, or nothing may be. */
export function keptHow(): PrintHow {
  try {
    return { ...usual, ...(JSON.parse(localStorage.getItem(place) ?? '{}') as Partial<PrintHow>), form: 'usual' };
  } catch {
    return usual;
  }
}
export function keepHow(how: PrintHow): void {
  try {
    localStorage.setItem(place, JSON.stringify(how));
  } catch {
    // Somebody who keeps nothing on this machine chooses anew next time.
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
