import { DEMO_SHOTS, FONTS } from '../testing/demoShots';
import fontkit from '@pdf-lib/fontkit';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { decodePDFRawStream, PDFArray, PDFDocument, PDFName, PDFRawStream } from 'pdf-lib';
import { edits } from '../edits/edits';
import { readShotFile } from '../model/openShot';
import type { Shot } from '../model/schema';
import { arcOf, corner, markAt, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { liesAcross, type Printout, type PrintPage, printPages, sheetsFor, type SheetName } from '.';
import { pageSvg } from './pageSvg';
import type { PrintOp } from './paper';
import { lackingSentence, writePdf } from './pdf';
import { fitted, textWidth } from './textWidth';

const font = (folder: string, file: string): Uint8Array => readFileSync(join(FONTS, folder, file));
const fonts = {
  sans: font('spline-sans', '400Regular/SplineSans_400Regular.ttf'),
  mono: font('spline-sans-mono', '400Regular/SplineSansMono_400Regular.ttf'),
  others: () => Promise.resolve(font('noto-sans', '400Regular/NotoSans_400Regular.ttf')),
};

/** A straight move of so many millimetres, four field units to each. */
const move = (mm: number): Shot =>
  edits.setScale(withMarks(straightShot(4 * mm, 13), markAt(1, 0, { label: 'key' }), markAt(13, 1)), {
    unitsPerMm: 4,
    units: 'mm',
  });
const printoutOf = (shot: Shot, sheet: SheetName, across: boolean | null = true) =>
  printPages(shot, { sheet, paper: 'a4', across });
const allPages = ({ count, pageAt }: Printout): readonly PrintPage[] =>
  Array.from({ length: count }, (_, i) => pageAt(i));
const pagesOf = (shot: Shot, sheet: SheetName, across: boolean | null = true) =>
  allPages(printoutOf(shot, sheet, across));
const textsOf = (ops: readonly PrintOp[]): readonly string[] =>
  ops.flatMap((op) => (op.kind === 'text' ? [op.text] : op.kind === 'clip' ? textsOf(op.ops) : []));

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
  const { bytes: pdf } = await writePdf(printoutOf(move(200), 'track'), 'Track', fonts);
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
  // Frames are 50 mm apart on the set, whatever tile they lie on.
  const frames = pages.map(({ ops }) =>
    ops.flatMap((op) =>
      op.kind === 'clip'
        ? op.ops.flatMap((one) => (one.kind === 'text' ? [[Number(one.text), one.x] as const] : []))
        : [],
    ),
  );
  const step = 297 - 24 - 10;
  const [first] = frames[0]!;
  frames.forEach((ticks, tile) => {
    expect(ticks.length).toBeGreaterThan(1);
    for (const [frame, x] of ticks)
      expect(x - first![1]).toBeCloseTo((frame - first![0]) * 50 - tile * step, 6);
  });
});

test('every sheet has pages, as PDF and as the same in SVG', async () => {
  const noted = edits.addNote(move(120), { from: 3, until: 4, text: 'Blinks & “nods” ☃', figureId: null });
  for (const sheet of sheetsFor(noted)) {
    const printout = printoutOf(noted, sheet, false);
    expect(printout.count).toBeGreaterThan(0);
    const svg = pageSvg(printout.pageAt(0));
    expect(svg).toMatch(/^<svg[^>]*width="210mm" height="297mm"/);
    const done: number[] = [];
    const { bytes } = await writePdf(printout, sheet, fonts, (pages) => done.push(pages));
    expect((await operators(bytes)).length).toBe(printout.count);
    expect(done.at(-1)).toBe(printout.count);
  }
  const sheet = pageSvg(pagesOf(noted, 'sheet')[0]!);
  expect(sheet).toContain('Blinks &amp; “nods” ☃');
});

test('long tables go on over pages, and Letter has its own size', () => {
  const long = edits.setLength(move(120), { lengthFrames: 300, moves: 'follow' });
  const pages = allPages(printPages(long, { sheet: 'table', paper: 'letter', across: false }));
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
  for (const sheet of sheetsFor(still)) expect(() => pagesOf(still, sheet)).toThrow('Nothing travels');
  expect(() => pagesOf(edits.setScale(move(200), { unitsPerMm: 1e-4 }), 'track')).toThrow(
    /takes [\d,]+ pages, and 10,000 is the most/,
  );
});

describe('the track', () => {
  /** 600 mm to the right, then as far down. */
  const bent = (): Shot =>
    edits.setScale(
      withMarks(
        shotAlong(arcOf([corner(0, 0), corner(2400, 0), corner(2400, 2400)]), 13),
        markAt(1, 0),
        markAt(13, 1),
      ),
      { unitsPerMm: 4, units: 'mm' },
    );
  const crossesOn = ({ ops }: PrintPage): (readonly [number, number])[] => {
    const strokes = ops.flatMap((op) =>
      op.kind === 'line' &&
      op.width === 0.2 &&
      op.points.length === 2 &&
      op.points[0]![1] === op.points[1]![1]
        ? [op.points]
        : [],
    );
    return strokes.map(([a, b]) => [(a![0] + b![0]) / 2, a![1]] as const);
  };

  test('blank tiles are not printed, and each that is has ink on what is its own', () => {
    const printout = printoutOf(bent(), 'track');
    // Across: three columns by four rows, of which a corner of five or six is gone along.
    expect(printout.count).toBeLessThan(8);
    for (const { ops } of allPages(printout)) {
      const clip = ops.find((op) => op.kind === 'clip');
      expect(clip?.kind === 'clip' && clip.ops.length).toBeGreaterThan(0);
    }
  });

  test('two register marks a join, so that neither sheet can turn', () => {
    const [first, second] = pagesOf(move(400), 'track');
    expect(crossesOn(first!)).toHaveLength(2);
    expect(crossesOn(second!)).toHaveLength(2);
    const [[x1, y1], [x2, y2]] = crossesOn(first!) as [[number, number], [number, number]];
    expect(Math.abs(y2 - y1)).toBeGreaterThan(50);
    expect(x1).toBe(x2);
    // Laid on each other they are the same spots of the set.
    const room = 297 - 24;
    expect(crossesOn(second!)).toEqual([
      [expect.closeTo(x1 - (room - 10), 9), y1],
      [expect.closeTo(x2 - (room - 10), 9), y2],
    ]);
  });

  test('lies the way that needs fewer pages, unless it is said otherwise', () => {
    expect(pagesOf(move(400), 'track', null)).toHaveLength(pagesOf(move(400), 'track', true).length);
    const up = shotAlong(arcOf([corner(0, 0), corner(0, 1040)]), 13);
    const upright = edits.setScale(up, { unitsPerMm: 4, units: 'mm' });
    expect(pagesOf(upright, 'track', null)[0]).toMatchObject({ width: 210, height: 297 });
    expect([null, true].map((across) => pagesOf(upright, 'track', across).length)).toEqual([2, 2]);
    expect(liesAcross(move(400), { sheet: 'table', paper: 'a4', across: null })).toBe(false);
  });
});

describe('the exposure sheet', () => {
  test('48 frames are on one page of A4 and of Letter; a figure of one drawing has a ring for each picture', () => {
    const shot = edits.setFramesHeld(edits.setLength(move(120), { lengthFrames: 48, moves: 'follow' }), {
      moveId: 'move1',
      framesHeld: 2,
    });
    for (const paper of ['a4', 'letter'] as const) {
      const printout = printPages(shot, { sheet: 'sheet', paper, across: null });
      expect(printout.count).toBe(1);
      const { ops, height } = printout.pageAt(0);
      expect(ops.filter((op) => op.kind === 'line' && op.points.length === 17)).toHaveLength(24);
      const lowest = ops.flatMap((op) => (op.kind === 'text' && op.font === 'mono' ? [op.y] : []));
      expect(Math.max(...lowest)).toBeLessThan(height - 24);
    }
  });

  test('steps have their unit, and names stand in full where there is room', () => {
    const named = edits.setFigure(move(120), { figureId: 'figure1', name: 'Second harbour master' });
    const noted = edits.addNote(named, {
      from: 2,
      until: 2,
      text: 'Turns his head to the lantern, slowly',
      figureId: null,
    });
    const texts = textsOf(pagesOf(noted, 'sheet', false)[0]!.ops);
    expect(texts).toEqual(
      expect.arrayContaining(['step mm', 'Second harbour master', 'Turns his head to the lantern, slowly']),
    );
    // Where there is none, what is too long ends in dots.
    const crowd = Array.from({ length: 5 }).reduce<Shot>(
      (shot) => edits.drawArc(shot, { points: shot.arcs[0]!.points }),
      noted,
    );
    expect(textsOf(pagesOf(crowd, 'sheet', false)[0]!.ops).some((text) => text.endsWith('…'))).toBe(true);
  });
});

describe('letters', () => {
  const named = (name: string): Shot => edits.renameShot(move(100), { name });
  const written = (name: string) => writePdf(printoutOf(named(name), 'table'), 'Table', fonts);
  const embeddedIn = async (bytes: Uint8Array): Promise<number> => {
    const { context } = await PDFDocument.load(bytes);
    return context.enumerateIndirectObjects().filter(([, object]) => String(object).includes('/FontFile2'))
      .length;
  };

  test('of Greek and Cyrillic names are those of a font that ships, embedded only where it is needed', async () => {
    const plain = await written('Crème brûlée');
    expect([plain.lacking, await embeddedIn(plain.bytes)]).toEqual([[], 2]);
    const far = await written('Ωραία Жизнь');
    expect([far.lacking, await embeddedIn(far.bytes)]).toEqual([[], 3]);
  });

  test('that no font has are boxes, never question marks, and it is said of which text', async () => {
    const { bytes, lacking } = await written('東京 ☃');
    expect(lacking).toEqual([expect.stringContaining('東京 ☃')]);
    expect(lackingSentence(lacking)).toMatch(/^No font here has all letters of “東京 ☃/);
    expect(lackingSentence([])).toBeNull();
    const [page] = await operators(bytes);
    // Three boxes, each a closed path of its own.
    expect(page!.match(/\bh\b/g)!.length).toBe(3);
  });

  test('every string that the demo prints is in the fonts', async () => {
    const folder = DEMO_SHOTS;
    for (const file of readdirSync(folder)) {
      const shot = readShotFile(readFileSync(join(folder, file), 'utf8'));
      for (const sheet of sheetsFor(shot)) {
        if (sheet === 'track' && shot.field.unitsPerMm === null) continue;
        const { lacking } = await writePdf(printoutOf(shot, sheet, null), sheet, fonts);
        expect([file, sheet, lacking]).toEqual([file, sheet, []]);
      }
    }
  }, 60_000);

  test('are measured as the font has them', () => {
    const sans = fontkit.create(fonts.sans);
    for (let code = 32; code < 127; code++) {
      const width = sans.glyphForCodePoint(code).advanceWidth / sans.unitsPerEm;
      expect(textWidth(String.fromCodePoint(code), 1)).toBeCloseTo(width, 2.5);
    }
    expect(fitted('Harbour master', 100, 3)).toBe('Harbour master');
    expect(fitted('Harbour master', 12, 3)).toBe('Harbo…');
  });
});

test('how many pages there are is known before any is drawn, and each is drawn by itself', () => {
  const long = edits.setLength(move(120), { lengthFrames: 20_000, moves: 'follow' });
  const { count, pageAt } = printoutOf(long, 'table');
  expect(count).toBeGreaterThan(400);
  expect(textsOf(pageAt(count - 1).ops)).toContain('20000');
});

test('a pan: artwork the other way than the camera, with a box to tick off, and a sheet only where a camera is', () => {
  expect(sheetsFor(move(100))).not.toContain('pan');
  expect(() => pagesOf(move(100), 'pan')).toThrow('No camera travels in this shot.');
  const framed = edits.addCamera(move(100));
  const { id: moveId } = framed.moves.at(-1)!;
  const { width, height } = framed.field;
  const panned = edits.pose(framed, {
    moveId,
    frame: 13,
    to: { x: width / 2 + 96, y: height / 2 },
    path: 'straight',
  });
  expect(sheetsFor(panned)).toContain('pan');
  const [page] = pagesOf(panned, 'pan');
  const texts = page!.ops.flatMap((op) => (op.kind === 'text' ? [op.text] : []));
  const steps = (towards: string): number =>
    texts
      .filter((text) => text.startsWith(`${towards} `))
      .reduce((sum, text) => sum + Number(text.split(' ')[1]), 0);
  expect(steps('E')).toBeCloseTo(24, 1);
  expect(steps('W')).toBeCloseTo(24, 1);
  expect(texts).toContain('camera');
});
