import { define } from './route';
import { arr, nullable, num, obj, opt, str, within } from './schema';
import { Type } from '@sinclair/typebox';

export const searchWire = define({
  'GET /search': {
    summary: 'Versions on the shelf by meaning: names, words, things, bins, steps under any of their names, codes; best first',
    query: { q: Type.String({ maxLength: 200 }), limit: within(1, 5000) },
    response: obj({
      /** Steps that the words mean, the likeliest first. */
      steps: arr(obj({ skill: str, title: str })),
      items: arr(
        obj({
          game: str,
          /** Null for a game that has no version yet. */
          variant: nullable(str),
          /** The step it was found by, with its chances in ten minutes. */
          skill: opt(str),
          perTenMinutes: opt(num),
        }),
      ),
    }),
  },
});
