/** Places that a single letter opens, and everything else the keyboard knows. */
export const placeKeys: Readonly<Record<string, { readonly path: string; readonly label: string }>> = {
  s: { path: '/shelf', label: 'Shelf' },
  l: { path: '/learners', label: 'Learners' },
  p: { path: '/plan', label: 'Plan' },
  g: { path: '/prep', label: 'Prep: what to gather' },
  y: { path: '/play', label: 'Play' },
  r: { path: '/review', label: 'Review' },
};

export const otherKeys: readonly { readonly keys: string; readonly what: string }[] = [
  { keys: 'Ctrl K', what: 'Go to a place, a game, a learner, a skill, a thing' },
  { keys: '?', what: 'This list' },
  { keys: 'Esc', what: 'Close what is open; let a child go that was picked up' },
  { keys: 'Enter', what: 'On a child in a plan: pick up; then “put here” at a table' },
  { keys: 'Ctrl Z, Ctrl Y', what: 'In a plan: undo and redo' },
  { keys: 'Enter, 2 3 4, N P S L X Z', what: 'In “How is each played?”: yes, another proposal, and the other answers' },
  { keys: '← → Home End', what: 'Along a line of skills, tabs or meetings' },
];

const stored = 'zeitgeber.single-keys';

/** Whether single letters open places; off for those who speak to their machine or rest a hand on the keys. */
export function singleKeysOn(): boolean {
  try {
    return localStorage.getItem(stored) !== 'off';
  } catch {
    return true;
  }
}

export function setSingleKeys(on: boolean): void {
  try {
    localStorage.setItem(stored, on ? 'on' : 'off');
  } catch {
    // A browser that keeps nothing forgets this too.
  }
}

/** Whether somebody is typing, so that a letter is a letter. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);
