import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: [
    'number balance',
    'balance',
    'balance beam',
    'see saw',
    'seesaw',
    'seesaw sums',
    'level it',
    'will it tip',
    'math balance',
    'balance scale',
    'scales',
    'tip the scale',
    'teeter totter',
    'level the beam',
    'balance it',
  ],
  signs: [
    [
      'balance|beam|seesaw|saw|scale|scales|teeter & hang|weight|weights|peg|pegs|hook|hooks|level|arm|arms|side|sides|tag|tags|equal|tip',
      3.5,
    ],
    ['balance|beam|seesaw|scales|scale', 2.5],
    ['hang|hangs|hung|hanging ~ side|peg|pegs|hook|hooks|weight|weights|arm|arms|tag|tags|#', 3.5],
    ['weight|weights|wt|washers|washer & left|right|side|hook|peg|level|hooks|pegs|equal|both', 2],
    ['level|levels|levelled|flat ~ out|beam|both|side|arms & weight|weights|hang|side|hook|arms|balance|tag|peg', 2.5],
    ['tip|tips|tilt|tilts|sinks|drops ~ first|side|left|right', 2],
    ['side|left & weight|weights|hook|hooks|hang & right|other|level', 2],
    ['both sides|arms|arm|ends ~ equal|same|level|balance|weigh', 2],
    ['equal|equals', 1],
    ['kg|grams|gram|kitchen|heavier|heaviest|fruit|vegetable', -3],
    ['card & hand', -3],
    ['hang|hangs & even|level|equal|side|balanced', 2.5],
    ['washers|washer|weight|weights|tags & arm|arms|level|side|go|peg', 2.5],
    ['make ~ even|level', 2],
    ['level', 1],
  ],
  numbers: [
    ['# weight|wt|weights left|on', 'left'],
    ['# weight|wt|weights right', 'right'],
  ],
  values: [['predict|guess ~ side|first|tips|tip', { predict: true }]],
};
