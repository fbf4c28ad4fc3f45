import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: [
    'story problem',
    'story problems',
    'story cards',
    'number stories',
    'word problems',
    'word problem',
    'problem cards',
    'story strips',
    'stories',
    'tell a story',
    'number story',
    'math stories',
    'story mat',
  ],
  signs: [
    ['story|stories problem|problems|card|cards|strip|strips|mat|sums', 4],
    ['word problem|problems', 4],
    ['story|stories|tale|tales', 3],
    ['act|acted|acting out & number|says|solve|before|problem|story|read|counters', 2.5],
    ['retell|retells|own words|again ~ before|words|compute|number', 2.5],
    ['read ~ twice|2|aloud|two & story|act|draw|problem|solve|number|before', 2],
    ['started|had|has|gave|some|bought|ate ~ gave|away|now|left|more|altogether & story|problem|tale|how|now|retell|read', 2.5],
    ['what|who ~ question|asked|asks|happens|happened & story|tale|problem|read', 2],
    ['draw ~ picture|it & before|solve|problem|story', 1.5],
    ['keyword|keywords', 1.5],
    ['dice|die', -2],
    ['clock', -2],
    ['hop', -2],
  ],
  numbers: [['within|to #', 'highest']],
  values: [
    ['read ~ twice', { readAloud: 'read-aloud-twice' }],
    ['read alone', { readAloud: 'read-alone' }],
    ['compare|compares|more than|fewer', { situations: ['compare'] }],
    ['missing|start ~ known|unknown', { unknowns: ['change', 'start'] }],
    ['draw', { drawIt: true }],
    ['start & change & result', { unknowns: ['result', 'change', 'start'] }],
  ],
};
