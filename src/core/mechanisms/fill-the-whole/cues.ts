import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['fill the whole', 'cover the whole', 'cover up fractions', 'uncover fractions', 'fraction fill', 'fill a pizza', 'cover the bar'],
  signs: [
    ['fraction|fractions ~ pieces|bars|strips & roll|draw|spin', 2.5],
    ['exactly|exact & whole|wholes & fraction|fractions|eighths|quarters', 2.5],
    ['first ~ fill|cover & whole|bar', 2.5],
    ['eighths|quarters|sixths|twelfths & lay|cover|fill', 2.5],
    ['fill|cover|build ~ whole|wholes & fraction|fractions|halves|half|quarter|quarters|piece|pieces', 4],
    ['fraction die|dice & piece|pieces|strip|strips|bar', 3],
    ['uncover|take off ~ piece|pieces & fraction|whole|half', 3],
  ],
  numbers: [],
  values: [['uncover|empty|take off', { way: 'emptied' }]],
};
