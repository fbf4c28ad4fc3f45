import { groupPages, type GroupSheet } from '../../core/group/groupPages';
import { drawPages } from './drawPages';

/** The map of a group on paper. `root` is the directory that holds the installed packages. */
export const groupPdf = (sheet: GroupSheet, root: string): Promise<Uint8Array> => drawPages(sheet.title, groupPages(sheet), root);
