import { searchWire } from '../../contract/wire/search';
import { serve } from '../http/route';
import { searchShelf } from './searchShelf';

const usualLimit = 1000;

export const searchRoutes = serve(searchWire, {
  'GET /search': ({ db, query }) => searchShelf(db, query.q ?? '', query.limit ?? usualLimit),
});
