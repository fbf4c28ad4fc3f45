import type { ReadyPhrase } from './cue';
import type { Token } from './tokens';

/** Phrases by a word that each cannot do without, so that a row is tried only against those it may hold. */
export class PhraseIndex<T extends { readonly phrase: ReadyPhrase }> {
  private readonly byStem = new Map<string, number[]>();
  private readonly always: number[] = [];

  constructor(private readonly entries: readonly T[]) {
    entries.forEach(({ phrase }, i) => {
      // The slot with the fewest choices is met least often.
      const slots = phrase.parts.flat().filter((s) => !s.numeral);
      const key = slots.sort((x, y) => x.stems.size - y.stems.size)[0];
      if (!key) this.always.push(i);
      else
        for (const stem of key.stems) {
          const list = this.byStem.get(stem);
          if (list) list.push(i);
          else this.byStem.set(stem, [i]);
        }
    });
  }

  /** What the fields may hold, in the order given at first. */
  candidates(fields: readonly (readonly Token[])[]): T[] {
    const found = new Set(this.always);
    const stems = new Set(fields.flatMap((tokens) => tokens.map((t) => t.stem)));
    for (const stem of stems) for (const i of this.byStem.get(stem) ?? []) found.add(i);
    return [...found].sort((x, y) => x - y).map((i) => this.entries[i]!);
  }
}
