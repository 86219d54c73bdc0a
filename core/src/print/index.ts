import type { FirstFrameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { hasInbetweens, inbetweenPages, type InbetweenOptions } from './inbetweens';
import { ladderPages } from './ladders';
import { panTable } from '../spacing/panTable';
import { type Paper, type PaperName, paperOf } from './paper';
import type { Printout } from './printout';
import { exposurePages, incrementPages, panPages } from './tables';
import { trackPages } from './track';
export { PLAIN_REGISTER, type RegisterRow } from './registerRow';

export { hasInbetweens, type InbetweenOptions, type InbetweenTile, inbetweenTiles } from './inbetweens';
export { PAPERS, type PaperName, type PrintPage } from './paper';
export type { PrintOp } from './paper';
export { pageSvg } from './pageSvg';
export type { Printout } from './printout';
export { MANY_PAGES } from './tooMany';

/** The sheets that are printed. A new one is a function that lays out its pages, and an entry in the table. */
const SHEETS = {
  track: trackPages,
  ladder: ladderPages,
  sheet: exposurePages,
  table: incrementPages,
  pan: panPages,
  inbetweens: inbetweenPages,
} as const satisfies Readonly<
  Record<
    string,
    (shot: Shot, paper: Paper, first?: FirstFrameNumber, inbetweens?: InbetweenOptions) => Printout
  >
>;

export type SheetName = keyof typeof SHEETS;
export const SHEET_NAMES = Object.keys(SHEETS) as readonly SheetName[];

/** Sheets that not every shot has something for. */
const ONLY_WHERE: Partial<Readonly<Record<SheetName, (shot: Shot) => boolean>>> = {
  pan: (shot) => panTable(shot) !== null,
  inbetweens: hasInbetweens,
};

/** The sheets that a shot has something for: in-betweens only where something is drawn through, a pan with a camera. */
export const sheetsFor = (shot: Shot): readonly SheetName[] =>
  SHEET_NAMES.filter((name) => ONLY_WHERE[name]?.(shot) ?? true);

export interface PrintOptions {
  readonly sheet: SheetName;
  readonly paper: PaperName;
  /** The long side lies across; null leaves it to the sheet: a track takes what needs fewer pages, others are upright. */
  readonly across: boolean | null;
  /** From what its reader counts frames; 1 without it. */
  readonly firstNumber?: FirstFrameNumber;
  /** Size and register marks of in-betweens. */
  readonly inbetweens?: InbetweenOptions;
}

export function liesAcross(shot: Shot, { sheet, paper, across }: PrintOptions): boolean {
  if (across !== null) return across;
  if (sheet !== 'track') return false;
  const pages = (lies: boolean): number => trackPages(shot, paperOf(paper, lies)).count;
  return pages(true) < pages(false);
}

export function printPages(shot: Shot, options: PrintOptions): Printout {
  const { sheet, paper, firstNumber, inbetweens } = options;
  const pages: (
    shot: Shot,
    paper: Paper,
    first?: FirstFrameNumber,
    inbetweens?: InbetweenOptions,
  ) => Printout = SHEETS[sheet];
  return pages(shot, paperOf(paper, liesAcross(shot, options)), firstNumber, inbetweens);
}
