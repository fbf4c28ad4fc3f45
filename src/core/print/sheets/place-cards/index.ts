import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, rect } from '../../box';
import { boxedParagraph, fitted } from '../../letters';
import { cardSizes, sheetKind } from '../../sheetKind';

type Place = 'ones' | 'tens' | 'hundreds' | 'thousands' | 'ten thousands' | 'hundred thousands' | 'tenths' | 'hundredths';
const { SCHEMA, DEFAULTS } = parameters({
  places: oneOf('Places', ['ones', 'tens', 'either', 'ones-tens-hundreds', 'to-hundred-thousands', 'behind-the-point'], 'either'),
  copies: whole('Of each', 1, 12, 4),
  overlay: oneOf('Cards', ['name-the-place', 'lay-over-each-other'], 'name-the-place'),
});
type P = typeof DEFAULTS;
const placesOf: Readonly<Record<P['places'], readonly Place[]>> = {
  ones: ['ones'],
  tens: ['tens'],
  either: ['ones', 'tens'],
  'ones-tens-hundreds': ['ones', 'tens', 'hundreds'],
  'to-hundred-thousands': ['ones', 'tens', 'hundreds', 'thousands', 'ten thousands', 'hundred thousands'],
  'behind-the-point': ['tenths', 'hundredths'],
};
/** Tens of a card that is laid over others: 30 000 is 3 with four noughts. */
const powers: Readonly<Record<Place, number>> = {
  ones: 0,
  tens: 1,
  hundreds: 2,
  thousands: 3,
  'ten thousands': 4,
  'hundred thousands': 5,
  tenths: -1,
  hundredths: -2,
};
interface Card {
  readonly place: Place;
  /** The digit of an overlay card; null on a card that names its place. */
  readonly digit: number | null;
}
const digitWidth = 20;
const overlayHeight = 34;

export default sheetKind<P, readonly Card[]>({
  id: 'place-cards',
  title: 'Place cards',
  about: 'Cards that name a place, or cards of ones, tens and hundreds to lay over each other.',
  group: 'cards',
  forFamilies: ['place-digit-hop', 'build-a-number'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.overlay === 'lay-over-each-other' && p.places === 'behind-the-point'
      ? { code: 'impossible-parameters', field: 'places', message: 'Cards to lay over each other are made for places before the point.' }
      : null,
  make: (p) =>
    placesOf[p.places].flatMap((place): Card[] =>
      p.overlay === 'name-the-place'
        ? Array.from({ length: p.copies }, () => ({ place, digit: null }))
        : Array.from({ length: 9 }, (_, i) => ({ place, digit: i + 1 })),
    ),
  verify: (made, p) =>
    placesOf[p.places].flatMap((place) => {
      const own = made.filter((c) => c.place === place);
      return own.length === (p.overlay === 'name-the-place' ? p.copies : 9) &&
        new Set(own.map((c) => c.digit)).size === (p.overlay === 'name-the-place' ? 1 : 9)
        ? []
        : [`Cards of the ${place} are missing.`];
    }),
  checked: (made, p) =>
    `${made.length} cards: ${placesOf[p.places].join(', ')}${p.overlay === 'lay-over-each-other' ? `; each is as wide as its digits, ${digitWidth} mm a digit` : ''}.`,
  draw: (made, p) => ({
    pieces:
      p.overlay === 'name-the-place'
        ? [
            {
              ...cardSizes.small,
              count: made.length,
              marked: true,
              face: (n, { w, h }) => boxedParagraph(4, h * 0.3, w - 8, h * 0.4, made[n]!.place, 26, 14, { bold: true }),
              back: () => [],
            },
          ]
        : placesOf[p.places].map((place) => {
            const own = made.filter((c) => c.place === place);
            return {
              w: digitWidth * (powers[place] + 1),
              h: overlayHeight,
              count: own.length,
              face: (n: number, { w, h }: { w: number; h: number }) => overlay(own[n]!, w, h),
            };
          }),
  }),
});

function overlay(c: Card, w: number, h: number): Box[] {
  const digits = `${c.digit}${'0'.repeat(powers[c.place])}`;
  const one = w / digits.length;
  return [
    rect(0, 0, w, h, { line: 'ink', width: 0.4, frame: true }),
    ...[...digits].map((d, i) =>
      fitted(i * one + 2, h * 0.2, one - 4, h * 0.6, d, { bold: true, most: 62, fill: i === 0 ? 'ink' : 'soft' }),
    ),
  ];
}
