import { plainWords } from './cells';

/** Header words people use for each column. */
const columns: Readonly<Record<string, readonly string[]>> = {
  game: ['game', 'title', 'name', 'game name', 'name of game', 'name of the game', 'game title', 'activity', 'activity name'],
  variant: ['variant', 'version'],
  bin: ['bin', 'unit', 'unit bin', 'box', 'where it lives', 'where', 'location', 'lives in', 'kept in', 'storage'],
  ages: ['ages', 'age', 'age range'],
  grade: ['grades', 'grade', 'grade level', 'grade levels', 'grade band', 'year', 'year group', 'class'],
  players: ['players', '# players', '# of players', 'number of players', 'no. of players', 'how many players', 'group size'],
  'players min': ['players min', 'min players', 'player min'],
  'players max': ['players max', 'max players', 'player max'],
  minutes: ['minutes', 'minute', 'time', 'length', 'how long', 'duration', 'mins'],
  materials: ['materials', 'material', 'things', 'what it needs', 'what you need', 'you need', 'need', 'supplies', 'equipment', 'pieces'],
  source: ['source', 'from'],
  condition: ['condition', 'state'],
  notes: ['notes', 'note', 'comments', 'comment', 'remarks'],
  mechanism: ['mechanism', 'how it plays'],
  parameters: ['parameters', 'parameter'],
  practises: ['practises', 'practices', 'practise', 'practice', 'skills', 'skill'],
};

/** Columns of ours, by name. */
export const ourColumns: readonly string[] = Object.keys(columns);

/** Maps a file's header to our columns. */
export function columnOf(header: string): string | null {
  const words = plainWords(header);
  return Object.entries(columns).find(([, names]) => names.some((n) => plainWords(n) === words))?.[0] ?? null;
}
