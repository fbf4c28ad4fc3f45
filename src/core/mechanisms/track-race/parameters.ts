import { oneOf, pairs, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  move: oneOf('How far a turn goes', ['sum', 'difference', 'signed', 'forward-then-back'], 'sum'),
  dice: whole('Dice', 1, 3, 1),
  lowestFace: whole('Lowest number on a die', 0, 5, 1),
  highestFace: whole('Highest number on a die', 1, 20, 6),
  minusFaces: whole('Minus faces of the sign die (of six)', 1, 3, 2),
  start: whole('Start', 0, 900, 0),
  end: whole('End', 3, 1000, 30),
  landing: oneOf('The end', ['exact', 'beyond'], 'beyond'),
  lastRound: oneOf('When somebody is home, the round', ['stops-at-once', 'is-played-out'], 'stops-at-once'),
  jumps: pairs('Jumps: from, to', 1000, []),
  loops: yesNo('Jumps that lead back', true),
  special: oneOf('Special spaces', ['none', 'odd-even', 'add-or-take'], 'none'),
  specialEvery: whole('Special spaces every', 2, 20, 5),
  tokens: oneOf('Tokens', ['none', 'give', 'give-and-take'], 'none'),
  tokenEvery: whole('Token spaces every', 2, 20, 4),
});
export type TrackRaceParameters = typeof DEFAULTS;
