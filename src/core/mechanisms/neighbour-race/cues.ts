import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: [
    'hex climb',
    'honeycomb climb',
    'factor climb',
    'mountain climb',
    'climb the hill',
    'neighbour race',
    'hexagon race',
    'climbing board',
    'pyramid climb',
    'up the mountain',
    'beehive climb',
  ],
  signs: [
    ['die|dice|roll|add|plus|sum ~ number|space|cell|hex|hexagon ~ stand|standing|are on|at', 4],
    ['number you stand|standing|are on', 4],
    [
      'touching|touches|neighbour|neighbouring|neighboring|neighbor|adjacent|next ~ step|move|go|climb|hop|up & die|dice|roll|factor|number|multiple',
      3.5,
    ],
    ['factor|factors|multiple|multiples & climb|step|move|ladder|hex|hexagon|cell|up|board|race & die|dice|roll', 3],
    ['climb|climbs|climbing & die|dice|roll|hex|hexagon|touching|number|factor|row', 2.5],
    ['hex|hexagon|hexagons|honeycomb & board|climb|die|number|touching|step|row', 2.5],
    ['stand|standing ~ on', 2],
    ['step up|higher', 2],
    ['row ~ by row', 1.5],
    ['top ~ first', 1.5],
    ['ladder|ladders & slide|slides', -2],
    ['tower|stack', -2],
    ['color|edge|edges', -2],
    ['bet|column|columns', -2],
    ['add|plus ~ die|dice|roll ~ your|the ~ number ~ neighbouring|touching|go|stand|next', 3],
    ['neighbouring|touching|next stone|cell|hexagon|space|number', 2],
    ['factor|multiple ~ cell|space|number|stone & die|dice', 2],
    ['hilltop|mountain|hill|climb', 1],
    ['plus|add die|dice & next|neighbour|beside|touching', 3.5],
    ['up ~ you|we go', 2],
  ],
  numbers: [['die 1 #', 'faces']],
  values: [
    ['factor|factors', { rule: 'die-is-factor' }],
    ['ten|10 sided', { faces: 10 }],
    ['exact|exactly', { finish: 'exact' }],
  ],
};
