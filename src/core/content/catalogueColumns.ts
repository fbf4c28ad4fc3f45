import { columnByHeader } from './guessColumns';
import type { ColumnSpec } from './rawTable';

/** The share of cells that match. */
const share = (pattern: RegExp) => (cells: readonly string[]) =>
  cells.length === 0 ? 0 : cells.filter((c) => pattern.test(c.toLowerCase())).length / cells.length;

const mean = (numbers: readonly number[]): number => numbers.reduce((s, n) => s + n, 0) / Math.max(1, numbers.length);

/** Names of games: short, each another. */
const looksLikeTitles = (cells: readonly string[]): number => {
  if (cells.length < 2) return 0;
  const distinct = new Set(cells.map((c) => c.toLowerCase())).size / cells.length;
  const letters = cells.filter((c) => /\p{L}{2}/u.test(c) && !/^\d/.test(c)).length / cells.length;
  const short = cells.filter((c) => c.length <= 60).length / cells.length;
  return distinct * letters * short;
};

/** Whole sentences. */
const looksLikeNotes = (cells: readonly string[]): number =>
  cells.length > 1 && mean(cells.map((c) => c.split(/\s+/).length)) >= 7 ? 0.8 : 0;

/** Header words people use for each column, and what its cells look like where it has no name. */
export const catalogueSpecs: readonly ColumnSpec[] = [
  {
    name: 'game',
    headers: [
      'game',
      'games',
      'title',
      'name',
      'game name',
      'name of game',
      'name of the game',
      'game title',
      'activity',
      'activity name',
      'activities',
      'task',
      'item',
      'what',
      'resource',
      'math game',
    ],
    looks: looksLikeTitles,
  },
  { name: 'variant', headers: ['variant', 'version', 'edition'] },
  {
    name: 'bin',
    headers: [
      'bin',
      'unit',
      'unit bin',
      'box',
      'where it lives',
      'where',
      'where is it',
      'location',
      'lives in',
      'kept in',
      'storage',
      'kept',
      'shelf',
      'cupboard',
      'tub',
      'tote',
      'drawer',
      'home',
      'stored',
      'stored in',
      'container',
      'place',
    ],
  },
  { name: 'ages', headers: ['ages', 'age', 'age range', 'years old', 'age group', 'age band', 'for ages'] },
  {
    name: 'grade',
    headers: [
      'grades',
      'grade',
      'grade level',
      'grade levels',
      'grade band',
      'grade s',
      'gr',
      'year',
      'years',
      'yr',
      'year group',
      'class',
      'level',
      'levels',
      'for grade',
    ],
    looks: share(/^(?:(?:gr|grade)\.? ?)?(?:pre-?k|k|kg)(?: ?(?:-|–|to|&) ?(?:k|\d))?$/),
    saidOnce: true,
  },
  {
    name: 'players',
    headers: [
      'players',
      '# players',
      '# of players',
      'number of players',
      'no of players',
      'no. of players',
      'how many players',
      'how many',
      'group size',
      'group',
      'grp',
      'size',
      'kids',
      '# kids',
      'children',
      'students',
      'pupils',
      'who',
      'plays',
      'for how many',
    ],
    looks: share(/^(?:\d{1,2} ?(?:-|–|to) ?\d{1,2}|\d{1,2}\+|pairs|whole (?:class|group)|small (?:group|grp)|any)$/),
  },
  { name: 'players min', headers: ['players min', 'min players', 'player min', 'players from'] },
  { name: 'players max', headers: ['players max', 'max players', 'player max', 'players to'] },
  {
    name: 'minutes',
    headers: [
      'minutes',
      'minute',
      'time',
      'length',
      'how long',
      'duration',
      'mins',
      'min',
      'time min',
      'minutes needed',
      'takes',
      'time needed',
      'playing time',
    ],
    looks: share(/^~?\d{1,3} ?(?:-|–|to)? ?\d{0,3} ?(?:min|mins|minutes|m)\.?$/),
  },
  {
    name: 'materials',
    headers: [
      'materials',
      'material',
      'things',
      'what it needs',
      'what you need',
      'you need',
      'need',
      'needs',
      'supplies',
      'equipment',
      'pieces',
      'stuff',
      'bits',
      'kit',
      'parts',
      'contents',
      'gear',
      'things needed',
      'uses',
      'bring',
      'whats in it',
    ],
  },
  { name: 'helper', headers: ['helper', 'adult', 'grown-up', 'supervision'] },
  { name: 'room', headers: ['room', 'in the room', 'noise'] },
  { name: 'preparation', headers: ['preparation', 'prep', 'prep minutes', 'minutes to prepare', 'getting ready'] },
  { name: 'steps of getting ready', headers: ['steps of getting ready'] },
  { name: 'used up', headers: ['used up'] },
  { name: 'stand-ins', headers: ['stand-ins'] },
  { name: 'rules', headers: ['rules line by line'] },
  { name: 'source', headers: ['source', 'from', 'made or bought', 'where from', 'origin'] },
  { name: 'condition', headers: ['condition', 'state', 'shape its in', 'wear', 'status', 'missing', 'repair'] },
  {
    name: 'notes',
    headers: [
      'notes',
      'note',
      'comments',
      'comment',
      'remarks',
      'how it runs',
      'how to play',
      'how we play',
      'directions',
      'rules',
      'instructions',
      'description',
      'how',
      'what to do',
      'what we do',
      'details',
      'about',
      'about it',
      'play',
      'how it goes',
    ],
    looks: looksLikeNotes,
  },
  { name: 'tags', headers: ['tags', 'tag', 'season', 'seasons'] },
  { name: 'mechanism', headers: ['mechanism', 'how it plays'] },
  { name: 'parameters', headers: ['parameters', 'parameter'] },
  {
    name: 'practises',
    headers: [
      'practises',
      'practices',
      'practise',
      'practice',
      'skills',
      'skill',
      'skill s',
      'focus',
      'teaches',
      'what it teaches',
      'math focus',
      'targets',
      'objective',
      'objectives',
      'concept',
      'concepts',
      'math',
    ],
  },
];

/** Columns of ours, by name. */
export const ourColumns: readonly string[] = catalogueSpecs.map((s) => s.name);

/** Maps a file's header to our columns. */
export const columnOf = (header: string): string | null => columnByHeader(header, catalogueSpecs);
