import type { FirstFrameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { ladderPages } from './ladders';
import { type Paper, type PaperName, paperOf } from './paper';
import type { Printout } from './printout';
import { exposurePages, incrementPages } from './tables';
import { trackPages } from './track';

export { PAPERS, type PaperName, type PrintPage } from './paper';
export { pageSvg } from './pageSvg';
export type { Printout } from './printout';
export { MANY_PAGES } from './tooMany';

/** The sheets that are printed. A new one is a function that lays out its pages, and an entry in the table. */
const SHEETS = {
  track: trackPages,
  ladder: ladderPages,
  sheet: exposurePages,
  table: incrementPages,
} as const satisfies Readonly<
  Record<string, (shot: Shot, paper: Paper, first?: FirstFrameNumber) => Printout>
>;

export type SheetName = keyof typeof SHEETS;
export const SHEET_NAMES = Object.keys(SHEETS) as readonly SheetName[];

export interface PrintOptions {
  readonly sheet: SheetName;
  readonly paper: PaperName;
  /** The long side lies across; null leaves it to the sheet: a track takes what needs fewer pages, others are upright. */
  readonly across: boolean | null;
  /** From what its reader counts frames; 1 without it. */
  readonly firstNumber?: FirstFrameNumber;
}

export function liesAcross(shot: Shot, { sheet, paper, across }: PrintOptions): boolean {
  if (across !== null) return across;
  if (sheet !== 'track') return false;
  const pages = (lies: boolean): number => trackPages(shot, paperOf(paper, lies)).count;
  return pages(true) < pages(false);
}

export const printPages = (shot: Shot, options: PrintOptions): Printout =>
  SHEETS[options.sheet](shot, paperOf(options.paper, liesAcross(shot, options)), options.firstNumber);
