/** Sizes of paper in millimetres: ISO 216, and 8½ by 11 inches. */
export const papers = {
  a4: { title: 'A4', w: 210, h: 297 },
  letter: { title: 'Letter', w: 215.9, h: 279.4 },
} as const;
export type Paper = keyof typeof papers;
export const paperIds = Object.keys(papers) as Paper[];

/** Millimetres at every edge that stay blank: what usual printers cannot reach (common practice, no source). */
export const blankEdge = 5;
/** The line at the foot keeps this far from the lower edge, where many printers at home reach least (common practice, no source). */
export const footEdge = 10;
/** No letters on any sheet are smaller than this, in points (common practice, no source). */
export const leastText = 8;
/** Where pages of text and boards begin. */
export const margin = 12;
/** The line at the foot with the check ruler and what the sheet is. */
export const footHeight = 7;

/** Where a page may be drawn on. */
export const pageArea = (paper: Paper): { readonly x: number; readonly y: number; readonly w: number; readonly h: number } => ({
  x: margin,
  y: margin,
  w: papers[paper].w - 2 * margin,
  h: papers[paper].h - margin - footEdge - footHeight - 2,
});
