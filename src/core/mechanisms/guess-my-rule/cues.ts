import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['guess my rule', 'number machine', 'function machine', 'in and out machine', 'what is my rule'],
  signs: [
    ['secret rule', 2.5],
    ['in & out & table|machine|number', 2.5],
    ['robot|machine ~ number|numbers & rule|secret|guess', 2.5],
    ['what does it do & numbers|number', 2.5],
    ['rule & guess|secret|machine|input|output', 4],
    ['function|number machine', 4.5],
    ['number|numbers go|goes in & out', 4],
  ],
  numbers: [],
  values: [],
};
