import fontkit from '@pdf-lib/fontkit';

/** What the font library calls while it takes letters into a subset; none of it is in its types. */
interface Subset {
  glyf: Buffer[];
  offset: number;
  _addGlyph: (glyph: number) => void;
}

/**
 * The font library, with outlines that begin at even places. In a subset of less than 64 kB places are kept halved (`loca`,
 * short form, ISO/IEC 14496-22), and the library halves them whether they are even or not: after the first outline of an odd
 * length all that follow are read one byte off and come out blank.
 */
export const evenFontkit = {
  create: (...given: Parameters<typeof fontkit.create>): ReturnType<typeof fontkit.create> => {
    const font = fontkit.create(...given);
    const make = font.createSubset.bind(font);
    font.createSubset = () => {
      const subset = make();
      const inside = subset as unknown as Subset;
      // Outlines of the other sort (CFF) are kept otherwise.
      if (typeof inside._addGlyph !== 'function') return subset;
      const add = inside._addGlyph.bind(inside);
      inside._addGlyph = (glyph) => {
        add(glyph);
        const last = inside.glyf.at(-1)!;
        if (last.length % 2 === 0) return;
        // The library brings a buffer of its own sort, and takes no other.
        const { concat, alloc } = last.constructor as unknown as Pick<typeof Buffer, 'concat' | 'alloc'>;
        inside.glyf[inside.glyf.length - 1] = concat([last, alloc(1)]);
        inside.offset++;
      };
      return subset;
    };
    return font;
  },
};
