/** What a country has of its own at a table: coins, rulers, paper, dates and words. A file adds one. */
export interface Country {
  readonly id: string;
  readonly title: string;
  /** Worths of the coins in use up to the unit, in hundredths of it, small to large. */
  readonly coins: readonly number[];
  /** How wide each of them is, in millimetres, as its mint says. */
  readonly coinMm: readonly number[];
  readonly money: {
    readonly sign: string;
    /** The sign stands before the number. */
    readonly before: boolean;
    /** What the hundredths are called, more than one. */
    readonly parts: string;
    readonly point: '.' | ',';
  };
  readonly ruler: 'centimetres' | 'inches';
  readonly paper: 'a4' | 'letter';
  readonly dates: 'day-first' | 'month-first';
  /** What is said otherwise there than in the rules as they are written; phrases before single words. */
  readonly words: Readonly<Record<string, string>>;
}

/** Hundredths as they stand on a price card. // => $3.25, 3,25 € */
export function priceIn({ money }: Country, hundredths: number): string {
  const n = (hundredths / 100).toFixed(2).replace('.', money.point);
  return money.before ? `${money.sign}${n}` : `${n} ${money.sign}`;
}

const cmOfInch = 2.54;

/** A length in centimetres by the ruler of the country. // => 40 cm, 16 inches */
export const lengthIn = ({ ruler }: Country, cm: number): string =>
  ruler === 'inches' ? `${Math.max(1, Math.round(cm / cmOfInch))} inches` : `${cm} cm`;

/** The coins asked for, each coin that is not in use exchanged for the nearest one in use that is still free. // => 25 is 20 in Britain */
export function coinsIn<T extends number>({ coins }: Country, asked: readonly T[]): T[] {
  const taken = new Set<number>(asked.filter((c) => coins.includes(c)));
  for (const c of asked) {
    if (coins.includes(c)) continue;
    const free = coins.filter((x) => !taken.has(x)).sort((x, y) => Math.abs(Math.log(x / c)) - Math.abs(Math.log(y / c)));
    if (free[0] !== undefined) taken.add(free[0]);
  }
  return [...taken].sort((x, y) => x - y) as T[];
}

/** All coins in use that are worth no more than an amount. */
export const coinsUpTo = <T extends number>({ coins }: Country, amount: number): T[] => coins.filter((c) => c <= amount) as T[];

const isCapital = (letter: string): boolean => letter !== letter.toLowerCase();
const capital = (word: string): string => word.slice(0, 1).toUpperCase() + word.slice(1);
/** Stay small in a title. */
const small = new Set(['and', 'the', 'for', 'of', 'to', 'in']);

const patterns = new WeakMap<Country, RegExp | null>();

function patternOf(country: Country): RegExp | null {
  let pattern = patterns.get(country);
  if (pattern === undefined) {
    const said = Object.keys(country.words).sort((x, y) => y.length - x.length);
    pattern = said.length === 0 ? null : new RegExp(`(?<![\\p{L}’-])(?:${said.join('|')})(?![\\p{L}’-])`, 'giu');
    patterns.set(country, pattern);
  }
  return pattern;
}

/** A line as it is said in the country; whole words only, capitals kept. */
export function saidIn(country: Country, line: string): string {
  const pattern = patternOf(country);
  if (!pattern) return line;
  return line.replace(pattern, (found) => {
    const other = country.words[found.toLowerCase()]!;
    if (!isCapital(found[0]!)) return other;
    const words = found.split(' ');
    const title = words.length > 1 && words.every((w) => isCapital(w[0]!) || small.has(w));
    return title
      ? other
          .split(' ')
          .map((w, i) => (i > 0 && small.has(w) ? w : capital(w)))
          .join(' ')
      : capital(other);
  });
}
