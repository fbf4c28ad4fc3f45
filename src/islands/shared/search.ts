const small = new Set(['a', 'an', 'the', 'of', 'to']);

/** Words of a search or a title: letters and digits of any script, whatever stands between them, so that make-ten finds Make a ten. */
export const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .normalize('NFKC')
    .split(/[^\p{L}\p{M}\p{N}+−×÷]+/u)
    .filter((w) => w !== '' && !small.has(w));
