import { type Box, line, text } from '../box';

/** A line for a name at the top of a page to write on. */
export const nameLine = (w: number): Box[] => [
  text(0, 2, 22, 7, 'Name', 14, { align: 'start', frame: true }),
  line(18, 9, w * 0.6, 9, { line: 'soft', width: 0.3, frame: true }),
];
/** Height that the line for a name takes. */
export const nameRoom = 18;
