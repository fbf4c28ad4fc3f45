/** The thing that a made set is one more of, by its kind of sheet; what is used up when it is written on is none. */
const things: Readonly<Record<string, string>> = {
  'number-cards': 'number-cards',
  'pair-cards': 'pair-cards',
  'match-halves': 'match-halves',
  'set-cards': 'pair-cards',
  'fraction-cards': 'fraction-cards',
  'chain-cards': 'chain-card-set',
  'call-cards': 'call-cards',
  'grid-cards': 'grid-cards',
  'story-cards': 'story-card-set',
  'task-cards': 'task-card-set',
  'target-cards': 'target-cards',
  'place-cards': 'place-cards',
  'shape-cards': 'shape-cards',
  'edge-tiles': 'edge-tiles',
  'fraction-pieces': 'fraction-pieces',
  dominoes: 'dominoes',
  'play-money': 'coins',
  'hex-board': 'hex-board',
  'track-board': 'track-board',
  'product-board': 'product-board',
  'number-board': 'number-board',
  'number-line': 'number-line',
  'clock-faces': 'clock-face',
  'place-value-mat': 'place-value-mat',
  'column-sheet': 'column-sheet',
  'recording-sheet': 'recording-sheet',
  'coordinate-grid': 'coordinate-grid',
  'fact-wheel': 'fact-wheel',
  'squared-paper': 'squared-paper',
  'calendar-page': 'calendar-page',
  timetable: 'timetable',
};

/** Looks that are a thing of their own. */
const frames = 'ten-frame-cards';

/** The thing a set becomes, or null where sheets are written on or belong to no sort of thing. */
export function thingOf(sheet: string, parameters: Readonly<Record<string, unknown>>): string | null {
  if (sheet !== 'amount-cards') return things[sheet] ?? null;
  const looks = parameters['looks'];
  return Array.isArray(looks) && looks.includes('ten-frame') ? frames : 'dot-cards';
}
