import { FONTS } from '../testing/demoShots';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { PDFDocument } from 'pdf-lib';
import { SaxesParser } from 'saxes';
import { edits } from '../edits/edits';
import { openShot, readShotFile, writeShotFile } from '../model/openShot';
import { plainLine, plainText } from '../model/plainText';
import type { Shot } from '../model/schema';
import { printPages, sheetsFor } from '../print';
import { pageSvg } from '../print/pageSvg';
import { writePdf } from '../print/pdf';
import { ladderOf } from '../spacing/ladder';
import { onlyMove, straightShot } from '../testing/shapes';
import { EXPORTERS } from './exporters';
import { writeFilmPaceCsv } from './filmPaceCsv';
import { readFilmZip } from './filmZip';
import { ladderSvg } from './ladderSvg';

const HOSTILE = [
  'a vertical\vtab',
  'bell\u0007 and null\u0000',
  '<script>alert(1)</script>',
  `quotes " and ' and \` & ampersands`,
  ']]> --> <!--',
  '=1+1',
  '@SUM(A1)',
  '+cmd|" /C calc"!A0',
  'שלום עולם',
  '\u202Eright to left',
  'boat 🚣🏽‍♀️ and crab 🦀',
  'half \uD83D of a pair',
  'no letter \uFFFF',
  'a line\nand\tanother',
  '-->',
];

/** A shot all of whose names are one. */
function named(name: string): Shot {
  const shot = edits.setScale(straightShot(400, 13), { unitsPerMm: 4, units: 'mm' });
  const moveId = 'move1';
  const marked = edits.setMarks(shot, { moveId, markIds: ['m1'], label: name.slice(0, 40) });
  const ridden = edits.addRider(marked, { moveId, name });
  const noted = edits.addNote(ridden, { from: 2, until: 3, text: name, figureId: null });
  const cued = edits.addCues(noted, { cues: [{ seconds: 0.1, word: name }] });
  const called = edits.renameShot(edits.setFilm(cued, { film: name }), { name });
  const taken = edits.renameTake(called, { takeId: called.takes[0]!.id, name });
  const keyed = edits.setKey(taken, { moveId, track: 'turn', frame: 3, value: 10 });
  return edits.setFigure(keyed, { figureId: 'figure1', name });
}

/** The same as a file has it that some other program wrote: nothing has looked at its names. */
function raw(name: string): Shot {
  const shot = named('PLACE');
  const text = JSON.stringify(shot).replaceAll('PLACE', JSON.stringify(name).slice(1, -1));
  return JSON.parse(text) as Shot;
}

function expectXml(text: string): void {
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw error;
  });
  parser.write(text).close();
}

const font = (folder: string, file: string): Uint8Array =>
  readFileSync(join(FONTS, folder, '400Regular', file));
const fonts = {
  sans: font('spline-sans', 'SplineSans_400Regular.ttf'),
  mono: font('spline-sans-mono', 'SplineSansMono_400Regular.ttf'),
  others: () => Promise.resolve(font('noto-sans', 'NotoSans_400Regular.ttf')),
};

const NO_TEXT =
  /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])/;

describe.each(HOSTILE)('a name %j', (name) => {
  test('is plain in a shot that is edited and in one that is read', () => {
    for (const shot of [named(name), openShot(raw(name))]) {
      const text = JSON.stringify(shot);
      expect(JSON.stringify(JSON.parse(text))).toBe(text);
      for (const said of [
        shot.name,
        shot.film,
        shot.figures[0]!.name,
        shot.takes[0]!.name,
        shot.notes[0]!.text,
        shot.cues[0]!.word,
      ])
        expect(said).not.toMatch(NO_TEXT);
      expect(readShotFile(writeShotFile(shot)).name).toBe(plainLine(name).trim());
    }
  });

  test('makes every export sound, whoever named it', () => {
    for (const shot of [named(name), raw(name)])
      for (const { flag, isPossible, write } of EXPORTERS) {
        if (!isPossible(shot)) continue;
        const written = write(shot, { files: new Map(), moveId: null });
        if (typeof written !== 'string') {
          expect(readFilmZip(written).shots[0]!.name).toBe(plainLine(name).trim());
          continue;
        }
        // JSON may have any letter, and writes controls out.
        if (/^[{[]/.test(written)) {
          JSON.parse(written);
          continue;
        }
        expect(written).not.toMatch(NO_TEXT);
        if (written.startsWith('<')) expectXml(written);
        else {
          const { data, errors } = Papa.parse<string[]>(written.trimEnd());
          expect(errors).toEqual([]);
          expect(new Set(data.map(({ length }) => length)).size).toBe(1);
          // A spreadsheet takes none of its cells for a formula.
          for (const cells of data.slice(1))
            for (const cell of cells)
              if (!/^-?[\d.]+(e-?\d+)?$/.test(cell))
                expect([flag, cell]).toEqual([flag, expect.not.stringMatching(/^[=+\-@\t\r]/)]);
        }
      }
    expectXml(ladderSvg(ladderOf(raw(name), onlyMove(raw(name)), 0), name));
    expect(
      Papa.parse(writeFilmPaceCsv([{ name, pace: { lengthFrames: 2, rate: 24, paces: [0, 1] } }]).trimEnd())
        .errors,
    ).toEqual([]);
  });

  test('is printed, or boxes stand for what no font has', async () => {
    for (const sheet of sheetsFor(raw(name))) {
      const printout = printPages(raw(name), { sheet, paper: 'a4', across: null });
      expectXml(pageSvg(printout.pageAt(0)));
      const { bytes } = await writePdf(printout, name, fonts);
      expect((await PDFDocument.load(bytes)).getPageCount()).toBe(printout.count);
    }
  });
});

test('what is no text is taken out; letters, pairs, tabs and lines of a text stay', () => {
  expect(plainText('a\u000Bb\u0000\uD83D🦀\n\tc\uDC00')).toBe('ab🦀\n\tc');
  expect(plainLine('a\u000Bb\r\n\tc')).toBe('a b c');
});
