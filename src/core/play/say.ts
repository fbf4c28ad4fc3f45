/** "2 and 3", "2, 3 and 4": things in a row. */
export function listed(things: readonly (string | number)[], last = 'and'): string {
  if (things.length < 2) return String(things[0] ?? '');
  return `${things.slice(0, -1).join(', ')} ${last} ${things.at(-1)}`;
}

/** "1 card", "3 cards". */
export const many = (n: number, thing: string, things = `${thing}s`): string => `${n} ${n === 1 ? thing : things}`;

/** How often, in a word where there is one. */
export const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

/** "2nd", "3rd", "4th": which one, for small numbers. */
export const nth = (n: number): string => `${n}${n % 100 >= 11 && n % 100 <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')}`;

/** "one die from 1 to 6", "2 dice from 0 to 9". */
export const diceOf = (n: number, low: number, high: number): string => `${n === 1 ? 'one die' : `${n} dice`} from ${low} to ${high}`;

/** What is done with two numbers, as it is said at a table. */
export const joining = {
  add: 'add',
  subtract: 'take the smaller from the larger',
  multiply: 'multiply',
  divide: 'share the larger by the smaller',
} as const;
export const signOf = { add: '+', subtract: '−', multiply: '×', divide: '÷' } as const;
/** The name of an operation alone. */
export const nameOf = { add: 'plus', subtract: 'minus', multiply: 'times', divide: 'sharing' } as const;

/** "1 to 10", with what a minus is written as. */
export const fromTo = (low: number, high: number): string => `${signed(low)} to ${signed(high)}`;
export const signed = (n: number): string => (n < 0 ? `−${-n}` : String(n));

/** A smaller number to play with: about half, on a round number. */
export function smallerThan(n: number): number {
  if (n <= 6) return Math.max(2, n - 2);
  if (n <= 12) return Math.ceil(n / 2);
  const step = 10 ** Math.max(1, Math.floor(Math.log10(n)) - (n < 200 ? 0 : 0));
  const half = Math.floor(n / 2 / step) * step;
  return half > 0 ? half : Math.ceil(n / 2);
}
