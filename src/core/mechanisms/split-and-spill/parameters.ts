import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  counters: whole('Counters spilled', 2, 20, 6),
  from: oneOf('They come from', ['shaken', 'bag'], 'shaken'),
  first: whole('First colour in the bag', 1, 40, 10),
  second: whole('Second colour in the bag', 1, 40, 10),
  ends: oneOf('The game ends', ['rounds', 'all-seen'], 'rounds'),
  rounds: whole('Spills each', 1, 40, 8),
  order: yesNo('4 and 2 is another split than 2 and 4', false),
  zeros: yesNo('All of one colour is a split to find', true),
  hide: yesNo('One colour is hidden and must be said', true),
  record: yesNo('Each split is written as a sum', true),
});
export type SplitParameters = typeof DEFAULTS;
