import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Shot } from '@humble/core';
import { type PaperName, PAPERS, printPages, SHEET_NAMES, type SheetName } from '@humble/core/print';
import { writePdf } from '@humble/core/print/pdf';
import type { Answer, Values } from './answer';

import { writeWhole } from './output';
import { UsageError } from './usageError';

/** Where the checkout is: tests know by their own file, the command says so when it starts. */
const root = (): string =>
  typeof __dirname === 'string' ? join(__dirname, '../..') : (process.env.HUMBLE_PENDULUM_ROOT ?? '.');

/** The bytes of a font that the product ships. */
const fontOf = (name: string, file: string): Uint8Array =>
  readFileSync(join(root(), 'node_modules/@expo-google-fonts', name, file));

function oneOf<Name extends string>(asked: string, names: readonly Name[], option: string): Name {
  const found = names.find((name) => name === asked);
  if (!found) throw new UsageError(`--${option} is one of ${names.join(', ')}.`);
  return found;
}

/** A sheet of a shot as a PDF at true scale. */
export async function printed(shot: Shot, values: Values): Promise<Answer> {
  if (!values.out) throw new UsageError('Say what the PDF is to be called: --out FILE.pdf.');
  const sheet = oneOf<SheetName>(values.print ?? 'track', SHEET_NAMES, 'print');
  const paper = oneOf(values.paper ?? 'a4', Object.keys(PAPERS) as PaperName[], 'paper');
  const pages = printPages(shot, { sheet, paper, across: values.across === true });
  const fonts = {
    sans: fontOf('spline-sans', '400Regular/SplineSans_400Regular.ttf'),
    mono: fontOf('spline-sans-mono', '400Regular/SplineSansMono_400Regular.ttf'),
  };
  writeWhole(values.out, await writePdf(pages, `${shot.name}: ${sheet}`, fonts));
  const count = pages.length === 1 ? '1 page' : `${pages.length} pages`;
  return { text: `${values.out}: ${count} of ${PAPERS[paper].label}.\n`, code: 0 };
}
