/** Letters with marks that words of western Europe are written with. */
const small = 'àáâãäåæçèéêëìíîïñòóôõöøœùúûüýÿß';
const large = 'ÀÁÂÃÄÅÆÇÈÉÊËÌÍÎÏÑÒÓÔÕÖØŒÙÚÛÜÝŸ';
const letter = /\p{L}/u;
const smallLetter = /\p{Ll}/u;

/** How much like writing the letter at a place of a text reads that is no plain ASCII; higher is more. */
function plausible(before: string, here: string, after: string): number {
  const number = /\d/;
  if (here === '–' || here === '—') return (number.test(before) && number.test(after)) || /\s/.test(before) ? 2 : 1;
  if (here === '’') return letter.test(before) ? 2 : 0;
  if ('‘“'.includes(here)) return letter.test(after) && !letter.test(before) ? 2 : 0;
  if (here === '”') return /[\p{L}\d.,!?]/u.test(before) ? 2 : 0;
  if (here === '…') return letter.test(before) ? 1 : 0;
  if (here === '€' || here === '£') return number.test(after) || number.test(before) ? 2 : 0;
  if ('×÷½¼¾°•'.includes(here)) return 1;
  // No word has a letter beside a figure, nor a large letter after a small one.
  if (small.includes(here)) return number.test(before) || number.test(after) ? -2 : letter.test(before) || letter.test(after) ? 1 : 0;
  if (large.includes(here)) return smallLetter.test(before) || number.test(before) ? -2 : smallLetter.test(after) ? 1 : 0;
  return /\p{Cc}/u.test(here) ? -3 : -1;
}

function likeWriting(text: string): number {
  let sum = 0;
  for (let i = 0; i < text.length; i++) if (text.charCodeAt(i) > 127) sum += plausible(text[i - 1] ?? ' ', text[i]!, text[i + 1] ?? ' ');
  return sum;
}

/**
 * Which of two readings of the same bytes is more like writing: letters with marks inside words, dashes between figures,
 * quotation marks about words. The first where both are as good.
 * Common practice, no source: nothing in such a file says how it was kept.
 */
export const latinOf = <T extends { readonly text: string }>(first: T, second: T): T =>
  likeWriting(second.text) > likeWriting(first.text) ? second : first;
