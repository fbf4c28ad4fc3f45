import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: [
    'roll and grab',
    'roll and gather',
    'roll and clear',
    'roll say gather',
    'roll and collect',
    'grab them all',
    'clear the table',
    'clear the rug',
    'collect them all',
    'roll and pick up',
    'roll and take',
    'gather all',
    'roll and find',
  ],
  signs: [
    [
      'roll|rolls|throw|spin ~ grab|grabs|gather|gathers|pick|picks|collect|collects|take|takes|clear|clears|remove|removes|find ~ every|all|each',
      4,
    ],
    [
      'roll|rolls|throw|spin & gather|gathers|collect|collects|grab|grabs|pick|clear|clears|take & all|every|each & show|shows|fours|match|matches|dots|dot|same|sixes|threes|number|that',
      3,
    ],
    ['all|every|each ~ show|shows|showing|match|matches|matching & roll|die|dice|spin|throw', 3],
    ['all the ones|twos|threes|fours|fives|sixes', 3],
    ['table|rug|mat|floor|board|carpet|tray ~ empty|bare|clear|cleared|clean & roll|gather|pick|collect|all|die', 2.5],
    ['clear|empty ~ table|rug|mat|floor|board', 2],
    ['dot card|cards|tile|tiles & roll|die|spread', 1.5],
    ['together & roll|gather|collect', 1],
    ['spread ~ out & roll', 1],
    ['add|sum|total', -3],
    ['bank|dare|stop', -3],
    ['graph', -2],
    ['first ~ takes|claim', -3],
    ['move', -2],
    [
      'throw|roll|spin & collect|collects|gather|gathers|pick|picks|take|takes|grab & spots|dots|shows|number|many & left|all|each|every|everyone|none',
      3,
    ],
    ['till|until none|nothing|all|everything & roll|throw & collect|gather|take|pick|grab', 2],
    ['take|grab|collect|pick each|every|all & shows|show|showing', 2.5],
    ['throw|roll|spin & everybody|everyone|all|we ~ take|takes|pick|grab|collect', 3],
    ['pick|take|grab up sixes|fives|fours|threes|twos', 2.5],
    ['spread ~ cards & throw|roll', 2],
  ],
  numbers: [
    ['# to|thru|through #', 'lowest', 'highest'],
    ['# #', 'lowest', 'highest'],
  ],
  values: [
    ['two|2 dice', { thrown: 'two-dice-sum', highest: 12, lowest: 2 }],
    ['numeral|numerals|number cards', { shows: 'numerals' }],
    ['ten frame', { shows: 'ten-frame' }],
    ['together', { play: 'together' }],
  ],
};
