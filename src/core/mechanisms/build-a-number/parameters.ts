import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  lowest: whole('Lowest number', 0, 100000, 11),
  highest: whole('Highest number', 12, 1000000, 99),
  form: oneOf('Built with', ['pieces', 'expanded-form', 'both'], 'pieces'),
  asked: oneOf('The card shows', ['numeral', 'pieces', 'words'], 'numeral'),
  another: yesNo('Builds it a second way, with a ten or hundred exchanged', false),
  compare: yesNo('Compares with the neighbour', true),
  rounds: whole('Numbers each', 1, 20, 6),
});
export type BuildParameters = typeof DEFAULTS;
