/** Letters that come from the second face: Greek, Armenian, Georgian, signs of writing, written fractions, ticks and crosses. */
const spans: readonly (readonly [number, number])[] = [
  [0x370, 0x3ff],
  [0x531, 0x58f],
  [0x10d0, 0x10ff],
  [0x1f00, 0x1fff],
  [0x2010, 0x205e],
  [0x2150, 0x218b],
  [0x2713, 0x2718],
];

/** Whether a letter that the first face has not is taken from the second one. */
export const fromSecondFace = (letter: number): boolean => spans.some(([first, last]) => letter >= first && letter <= last);
