import { plainWords } from './cells';

/** Header words people use for each column. */
const columns: Readonly<Record<string, readonly string[]>> = {
  game: ['game', 'title', 'name'],
  variant: ['variant', 'version'],
  bin: ['bin', 'unit', 'unit bin', 'box'],
  ages: ['ages', 'age', 'grades', 'grade'],
  players: ['players'],
  'players min': ['players min', 'min players', 'player min'],
  'players max': ['players max', 'max players', 'player max'],
  minutes: ['minutes', 'minute', 'time', 'length'],
  materials: ['materials', 'material', 'things', 'what it needs'],
  source: ['source', 'from'],
  condition: ['condition', 'state'],
  notes: ['notes', 'note'],
  mechanism: ['mechanism', 'how it plays'],
  parameters: ['parameters', 'parameter'],
  practises: ['practises', 'practices', 'practise', 'practice', 'skills', 'skill'],
};

/** Maps a file's header to our columns. */
export function columnOf(header: string): string | null {
  const words = plainWords(header);
  return Object.entries(columns).find(([, names]) => names.some((n) => plainWords(n) === words))?.[0] ?? null;
}
