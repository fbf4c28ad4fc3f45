import { groupPages, type GroupSheet } from '../../core/group/groupPages';
import { drawPages } from './drawPages';

/** The map of a group on paper. */
export const groupPdf = (sheet: GroupSheet): Promise<Uint8Array> => drawPages(sheet.title, groupPages(sheet));
