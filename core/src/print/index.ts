import type { Shot } from '../model/schema';
import { ladderPages } from './ladders';
import { type Paper, type PaperName, paperOf, type PrintPage } from './paper';
import { exposurePages, incrementPages } from './tables';
import { trackPages } from './track';

export { PAPERS, type PaperName, type PrintPage } from './paper';
export { pageSvg } from './pageSvg';

/** The sheets that are printed. A new one is a function that draws its pages, and an entry in the table. */
const SHEETS = {
  track: trackPages,
  ladder: ladderPages,
  sheet: exposurePages,
  table: incrementPages,
} as const satisfies Readonly<Record<string, (shot: Shot, paper: Paper) => readonly PrintPage[]>>;

export type SheetName = keyof typeof SHEETS;
export const SHEET_NAMES = Object.keys(SHEETS) as readonly SheetName[];

export interface PrintOptions {
  readonly sheet: SheetName;
  readonly paper: PaperName;
  /** The long side lies across. */
  readonly across: boolean;
}

/** The pages of a sheet, as they are previewed and printed. @throws ShotError where there is nothing to print */
export const printPages = (shot: Shot, { sheet, paper, across }: PrintOptions): readonly PrintPage[] =>
  SHEETS[sheet](shot, paperOf(paper, across));
