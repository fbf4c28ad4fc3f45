import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['bingo', 'lotto', 'loto', 'housey', 'tombola', 'number bingo', 'four in a row bingo', 'bingo cards', 'tables bingo'],
  signs: [
    ['bingo|lotto|loto', 4],
    [
      'call|calls|caller|read|reads|draw|i & cover|covers|chip|chips|mark|marker & row|line|card|cards|board|boards|answer|answers|full|diagonal|5|4',
      3.5,
    ],
    ['card|board|grid|boards ~ answers|products|sums|numbers & call|calls|caller|read|cover|covers|chip|chips', 3],
    ['cover|covers|mark ~ answer|answers|sum|product|number|time|it & call|calls|caller|read|reads|row|line', 2.5],
    ['call|calls # ~ cover', 2.5],
    ['row|line|diagonal|diagonals|column|corners ~ win|wins|shout|first|count & call|cover|chips|card|caller|board', 2],
    ['first ~ row|line|full & cover|call|chips|caller|card', 2],
    ['full|whole card|house|row|board & call|caller|cover', 2],
    ['free|middle|centre|center ~ free|square|space', 2],
    ['called|caller|calling', 2],
    ['3 times 3|grid|card', 1],
    ['# in|of a row', 1],
    ['slap|swat|grab', -2.5],
    ['rectangle|area|floor', -3],
    ['who has', -3],
    ['dice & shut|close|flip', -2],
    ['symmetry', -2],
    ['line|row ~ full|win|shout|first & answer|answers|number|numbers|question|call|read|chip', 2.5],
    ['put|puts|place|lay ~ chip|chips|button|buttons|counter|bean ~ answer|board|number|card|it & read|call|called|line|row|numbers', 2.5],
    ['numbers|facts|sums|questions called|read', 2.5],
    ['shout|shouts', 2],
  ],
  numbers: [
    ['# # cards|boards', 'size', 'size'],
    ['# times # & cards', 'size', 'size'],
    ['# times # card|grid', 'size', 'size'],
  ],
  values: [
    ['sum|add|addition|plus', { relation: 'sum' }],
    ['times|product|products|multiply|multiplication|tables', { relation: 'product' }],
    ['difference|subtract|subtraction|take|minus', { relation: 'difference' }],
    ['round|rounding|rounded', { relation: 'round' }],
    ['free|middle & free|centre|center', { freeCentre: true }],
    ['row wins', { lines: 'rows' }],
    ['diagonal|diagonals', { lines: 'rows-columns-diagonals' }],
    ['full|whole card|house', { lines: 'whole-card' }],
    ['full|whole row', { lines: 'rows' }],
  ],
};
