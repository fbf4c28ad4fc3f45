import { coveragePages, type CoverageSheet } from '../../core/frameworks/coveragePages';
import { drawPages } from './drawPages';

/** Coverage on two pages. `root` is the directory that holds the installed packages. */
export const coveragePdf = (sheet: CoverageSheet, root: string): Promise<Uint8Array> => drawPages(sheet.title, coveragePages(sheet), root);
