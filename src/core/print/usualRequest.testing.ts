import { asWritten } from '../../contract/countries';
import type { SheetRequest } from './sheetPage';

/** How a sheet is asked for in tests that look at something else. */
export const usualRequest: SheetRequest = {
  parameters: {},
  paper: 'a4',
  seed: 41,
  ink: 'colour',
  duplex: 'none',
  copies: 1,
  form: 'usual',
  mark: 'none',
  gutter: 0,
  label: '',
  country: asWritten,
};
