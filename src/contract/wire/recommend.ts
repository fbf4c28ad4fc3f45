import { type Static } from '@sinclair/typebox';
import { define } from './route';
import { arr, bool, closed, nullable, num, obj, str, whole, within } from './schema';
import { offerSource } from './things';

export const suggestion = obj({
  game: str,
  title: str,
  seats: arr(
    obj({
      learner: str,
      variant: str,
      variantTitle: str,
      value: num,
      success: num,
      skill: nullable(str),
      chances: num,
    }),
  ),
  value: num,
  source: offerSource,
  reasons: arr(str),
});

export type SuggestionWire = Static<typeof suggestion>;

const recommendations = obj({
  items: arr(suggestion),
  open: arr(obj({ learner: str, skill: str, barred: nullable(obj({ variant: str, title: str, because: str })) })),
  excluded: arr(obj({ game: str, title: str, because: str, alternative: nullable(str) })),
});

export type RecommendationsWire = Static<typeof recommendations>;

export const recommendWire = define({
  'POST /recommendations': {
    summary: 'Games for a learner or a table, with reasons and what excluded the others',
    body: closed(
      {
        learners: arr(str, 30),
        minutes: within(3, 120),
        limit: whole(1, 200),
        withStock: bool,
        withoutHelper: bool,
        preparationMinutes: within(0, 600),
        withoutKinds: arr(str),
      },
      ['learners'],
    ),
    response: recommendations,
    waits: true,
  },
});
