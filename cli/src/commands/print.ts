import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Shot } from '@humble/core';
import {
  MANY_PAGES,
  type PaperName,
  PAPERS,
  printPages,
  SHEET_NAMES,
  type SheetName,
} from '@humble/core/print';
import { type Answer, noted } from '../answer';
import { defineCommand, shotOf, TAKE, type Values } from '../command';
import { numberOf } from '../input';
import { madeNote, writeWhole } from '../output';
import { UsageError } from '../usageError';

const OPTIONS = {
  ...TAKE,
  out: { type: 'string' },
  print: { type: 'string' },
  paper: { type: 'string' },
  across: { type: 'boolean' },
  upright: { type: 'boolean' },
  pages: { type: 'string' },
} as const;

/** Where the checkout is: tests know by their own file, the command says so when it starts. */
const root = (): string =>
  typeof __dirname === 'string' ? join(__dirname, '../../..') : (process.env.HUMBLE_PENDULUM_ROOT ?? '.');

/** The bytes of a font that the product ships. */
const fontOf = (name: string, file: string): Uint8Array =>
  readFileSync(join(root(), 'node_modules/@expo-google-fonts', name, file));

function oneOf<Name extends string>(asked: string, names: readonly Name[], option: string): Name {
  const found = names.find((name) => name === asked);
  if (!found) throw new UsageError(`--${option} is one of ${names.join(', ')}.`);
  return found;
}

async function printed(shot: Shot, values: Values<typeof OPTIONS>): Promise<Answer> {
  if (!values.out) throw new UsageError('Say what the PDF is to be called: --out FILE.pdf.');
  const sheet = oneOf<SheetName>(values.print ?? 'track', SHEET_NAMES, 'print');
  const paper = oneOf(values.paper ?? 'a4', Object.keys(PAPERS) as PaperName[], 'paper');
  if (values.across && values.upright) throw new UsageError('Choose one of --across and --upright.');
  const across = values.across ? true : values.upright ? false : null;
  const printout = printPages(shot, { sheet, paper, across });
  const allowed = numberOf(values.pages, 'pages', MANY_PAGES, 1);
  const counted = printout.count === 1 ? '1 page' : `${printout.count} pages`;
  if (printout.count > allowed)
    throw new UsageError(`That makes ${counted}. If you want all of them, say --pages ${printout.count}.`);
  const fonts = {
    sans: fontOf('spline-sans', '400Regular/SplineSans_400Regular.ttf'),
    mono: fontOf('spline-sans-mono', '400Regular/SplineSansMono_400Regular.ttf'),
    others: () => Promise.resolve(fontOf('noto-sans', '400Regular/NotoSans_400Regular.ttf')),
  };
  // The package that writes PDFs is large: it comes when there is something to write.
  const { writePdf, lackingSentence } = await import('@humble/core/print/pdf');
  const { bytes, lacking } = await writePdf(printout, `${shot.name}: ${sheet}`, fonts);
  const made = madeNote(writeWhole(values.out, bytes));
  return {
    text: `${values.out}: ${counted} of ${PAPERS[paper].label}.\n`,
    note: noted(lackingSentence(lacking), made),
    code: 0,
  };
}

export default defineCommand({
  options: OPTIONS,
  writesFiles: true,
  run: (paths, values) => printed(shotOf('print', paths, values).shot, values),
});
