import { mechanismById } from '../core/mechanisms/registry';
import { type Country, saidIn } from '../core/play/country';
import { countries } from './countries';
import { type LibraryGame, shippedLibrary } from './shippedLibrary';

const known = new Map<string, readonly LibraryGame[]>();

/** The library with the coins, rulers and words of a country; made once for each. */
export function libraryIn(country: Country): readonly LibraryGame[] {
  let library = known.get(country.id);
  if (!library) known.set(country.id, (library = shippedLibrary.map((g) => gameIn(country, g))));
  return library;
}

function gameIn(country: Country, game: LibraryGame): LibraryGame {
  const say = (words: string): string => saidIn(country, words);
  const m = mechanismById(game.mechanism)!;
  return {
    ...game,
    title: say(game.title),
    story: say(game.story),
    variants: game.variants.map((v) => ({
      ...v,
      title: v.titleIn?.[country.id] ?? say(v.title),
      parameters: m.inCountry ? ownParts(v.parameters, m.inCountry({ ...m.defaults, ...v.parameters }, country), m.defaults) : v.parameters,
    })),
  };
}

/** The parameters that were said, each with its value in the country, and those that only the country has otherwise. */
function ownParts(said: Readonly<Record<string, unknown>>, full: object, defaults: object): Record<string, unknown> {
  const values: Readonly<Record<string, unknown>> = { ...full };
  const usual: Readonly<Record<string, unknown>> = { ...defaults };
  const others = Object.keys(values).filter((key) => !(key in said) && JSON.stringify(values[key]) !== JSON.stringify(usual[key]));
  return Object.fromEntries([...Object.keys(said), ...others].map((key) => [key, values[key]]));
}

/** How a game of the library is called anywhere: it may have been taken before the country was chosen. */
export const titlesAnywhere = (id: string): string[] => [
  ...new Set(countries.flatMap((c) => libraryIn(c).filter((g) => g.id === id)).map((g) => g.title)),
];

/** Versions that a country plays with other numbers, and so are measured on their own: `game/version@country`. */
export const measuredIn = (country: Country): { game: LibraryGame; variant: LibraryGame['variants'][number]; name: string }[] =>
  libraryIn(country).flatMap((game, i) =>
    game.variants.flatMap((variant, j) =>
      JSON.stringify(variant.parameters) === JSON.stringify(shippedLibrary[i]!.variants[j]!.parameters)
        ? []
        : [{ game, variant, name: `${game.id}/${variant.id}@${country.id}` }],
    ),
  );
