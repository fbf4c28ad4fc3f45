import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['money race', 'market stall', 'shopping game', 'spend it all', 'shop game'],
  signs: [
    ['change & buy|pay|store|shop', 2.5],
    ['price|prices & cards|card & pay|buy', 2.5],
    ['budget & cards|buy', 2.5],
    ['spend exactly|all', 2.5],
    ['shop|store|stall|market & buy|spend|price|prices|change', 4.5],
    ['spend|buy ~ money|dollars|purse & price|prices|cards', 3.5],
  ],
  numbers: [],
  values: [],
};
