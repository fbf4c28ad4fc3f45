import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: [
    'part whole dice',
    'whole and part',
    'part and whole',
    'missing part dice',
    'whole part',
    'part part whole dice',
    'part whole',
    'missing part colouring',
    'two dice parts',
  ],
  signs: [
    ['bigger|larger|big|large|higher|greater ~ whole ~ part|parts', 4.5],
    ['whole ~ part|parts & dice|die|roll|rolls', 3],
    ['missing part|parts & dice|die|roll|rolls|color|colour|box|grid', 3],
    ['missing part', 1.5],
    ['dice|die|roll & color|colour|shade ~ box|square|row ~ missing|part|difference|rest', 3],
    ['small|smaller|little|lower ~ part', 2.5],
    ['larger|bigger|big die|dice|number & smaller|small|little die|dice|one|number & missing|part|color|difference|rest', 2],
    ['difference & dice|die & color|colour|grid|row', 1],
    ['story|tale', -3],
    ['card & ask|fish', -3],
    ['column|columns ~ above|wins', -2],
    ['bag|cup', -2],
    ['whole & die|dice & other|part|shade|missing', 3],
    ['shade|colour|color ~ other|missing part', 2.5],
  ],
  values: [
    ['missing part', { say: 'missing-part' }],
    ['take away', { say: 'take-away' }],
    ['ten|10 sided', { faces: 10 }],
  ],
};
