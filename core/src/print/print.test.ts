import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { decodePDFRawStream, PDFArray, PDFDocument, PDFName, PDFRawStream } from 'pdf-lib';
import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { markAt, straightShot, withMarks } from '../testing/shapes';
import { printPages, SHEET_NAMES, type SheetName } from '.';
import { pageSvg } from './pageSvg';
import { writePdf } from './pdf';

const FONTS = join(__dirname, '../../../node_modules/@expo-google-fonts');
const font = (folder: string, file: string): Uint8Array => readFileSync(join(FONTS, folder, file));
const fonts = {
  sans: font('spline-sans', '400Regular/SplineSans_400Regular.ttf'),
  mono: font('spline-sans-mono', '400Regular/SplineSansMono_400Regular.ttf'),
};

/** A straight move of so many millimetres, four field units to each. */
const move = (mm: number): Shot =>
  edits.setScale(withMarks(straightShot(4 * mm, 13), markAt(1, 0, { label: 'key' }), markAt(13, 1)), {
    unitsPerMm: 4,
    units: 'mm',
  });
const pagesOf = (shot: Shot, sheet: SheetName, across = true) =>
  printPages(shot, { sheet, paper: 'a4', across });

/** What the pages of a PDF draw, as its operators. */
async function operators(bytes: Uint8Array): Promise<readonly string[]> {
  const pdf = await PDFDocument.load(bytes);
  return pdf.getPages().map((page) => {
    const contents = page.node.Contents();
    const streams =
      contents instanceof PDFArray ? contents.asArray().map((ref) => pdf.context.lookup(ref)) : [contents];
    return streams
      .map((stream) => Buffer.from(decodePDFRawStream(stream as PDFRawStream).decode()).toString('latin1'))
      .join('\n');
  });
}

/** Widths of the paths of a page, points. */
function widths(page: string): readonly number[] {
  return page
    .split(/\bS\b/)
    .map((path) => [...path.matchAll(/(-?[\d.]+) (-?[\d.]+) [ml]\b/g)].map(([, x]) => Number(x)))
    .filter((xs) => xs.length > 1)
    .map((xs) => Math.max(...xs) - Math.min(...xs));
}

const POINTS_A_MM = 72 / 25.4;

test('200 mm on the set are 200 mm on paper, and so is the bar: read back from the numbers of the PDF', async () => {
  const pdf = await writePdf(pagesOf(move(200), 'track'), 'Track', fonts);
  const [page] = await operators(pdf);
  const inMm = widths(page!).map((points) => points / POINTS_A_MM);
  expect(inMm.filter((mm) => Math.abs(mm - 200) < 0.2)).toHaveLength(1);
  expect(inMm.filter((mm) => Math.abs(mm - 100) < 0.01)).toHaveLength(1);
  const [first] = (await PDFDocument.load(pdf)).getPages();
  expect([first!.getWidth() / POINTS_A_MM, first!.getHeight() / POINTS_A_MM]).toEqual([
    expect.closeTo(297, 6) as number,
    expect.closeTo(210, 6) as number,
  ]);
  // Its fonts are in it, and nothing is filled over an area.
  const { context } = await PDFDocument.load(pdf);
  const embedded = context
    .enumerateIndirectObjects()
    .filter(([, object]) => String(object).includes('/FontFile2'));
  expect(embedded).toHaveLength(2);
  expect(page).not.toMatch(/\bre\s+f\b/);
  expect(context.lookup(context.trailerInfo.Info)?.toString()).toContain(String(PDFName.of('Title')));
});

test('what is longer than a page is tiled with an overlap of 10 mm, marks to put it together by, and a map', () => {
  const pages = pagesOf(move(600), 'track');
  expect(pages).toHaveLength(3);
  const texts = pages.map(({ ops }) => ops.flatMap((op) => (op.kind === 'text' ? [op.text] : [])));
  expect(texts.map((all) => all.find((text) => text.startsWith('1 : 1')))).toEqual([
    '1 : 1. Tile A1',
    '1 : 1. Tile A2',
    '1 : 1. Tile A3',
  ]);
  const starts = pages.map(({ ops }) => {
    const clip = ops.find((op) => op.kind === 'clip');
    const [arc] = clip?.kind === 'clip' ? clip.ops : [];
    return arc?.kind === 'line' ? arc.points[0]![0] : NaN;
  });
  const room = 297 - 24;
  expect(starts[0]! - starts[1]!).toBeCloseTo(room - 10, 9);
  expect(starts[1]! - starts[2]!).toBeCloseTo(room - 10, 9);
});

test('every sheet has pages, as PDF and as the same in SVG', async () => {
  const noted = edits.addNote(move(120), { from: 3, until: 4, text: 'Blinks & “nods” ☃', figureId: null });
  for (const sheet of SHEET_NAMES) {
    const pages = pagesOf(noted, sheet, false);
    expect(pages.length).toBeGreaterThan(0);
    const svg = pageSvg(pages[0]!);
    expect(svg).toMatch(/^<svg[^>]*width="210mm" height="297mm"/);
    expect((await operators(await writePdf(pages, sheet, fonts))).length).toBe(pages.length);
  }
  const sheet = pageSvg(pagesOf(noted, 'sheet')[0]!);
  expect(sheet).toContain('Blinks &amp; “nods” ☃');
});

test('long tables go on over pages, and Letter has its own size', () => {
  const long = edits.setLength(move(120), { lengthFrames: 300, moves: 'follow' });
  const pages = printPages(long, { sheet: 'table', paper: 'letter', across: false });
  expect(pages.length).toBeGreaterThan(4);
  expect([pages[0]!.width, pages[0]!.height]).toEqual([215.9, 279.4]);
  const rows = pages.flatMap(({ ops }) =>
    ops.flatMap((op) => (op.kind === 'text' && op.font === 'mono' && /^\d+$/.test(op.text) ? [op.text] : [])),
  );
  expect(rows).toContain('300');
});

test('without a scale, without a move, or on far too many pages it says so', () => {
  expect(() => pagesOf(straightShot(400, 13), 'track')).toThrow('True scale needs the scale');
  const still = edits.removeFigure(move(100), { figureId: 'figure1' });
  for (const sheet of SHEET_NAMES) expect(() => pagesOf(still, sheet)).toThrow('Nothing travels');
  expect(() => pagesOf(edits.setScale(move(200), { unitsPerMm: 0.01 }), 'track')).toThrow(/takes \d+ pages/);
});
