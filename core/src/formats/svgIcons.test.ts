import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { arcLength } from '../arc/arcMeasure';
import { fromCubics } from '../arc/cubicChain';
import { arcOf } from '../testing/shapes';
import { trueLength } from '../testing/trueLength';
import { readSvgDrawing } from './svgDrawing';
import { readPathData, type SubPath } from './svgPathData';

const lengthOf = ({ cubics, closed }: SubPath): number =>
  arcLength(arcOf(fromCubics(cubics, closed), closed));

/** Folder of drawings in a package that is there for these tests only. */
const folderOf = (name: string, folder: string): string =>
  join(dirname(require.resolve(`${name}/package.json`)), folder);

interface Icon {
  readonly name: string;
  readonly text: string;
}

const iconsIn = (folder: string): Icon[] =>
  readdirSync(folder)
    .filter((file) => file.endsWith('.svg'))
    .map((name) => ({ name, text: readFileSync(join(folder, name), 'utf8') }));

/**
 * Every icon is read; of so many the length of one is checked against chords, which takes most of the time. An
 * interface test has the browser measure them all.
 */
const MEASURED_EVERY = 20;

jest.setTimeout(400_000);

describe.each([
  ['@mdi/svg', 'svg', 7000],
  ['bootstrap-icons', 'icons', 1900],
])('every icon of %s', (name, folder, least) => {
  const icons = iconsIn(folderOf(name, folder));

  test('is read, and its paths have their length to 1e-6', () => {
    expect(icons.length).toBeGreaterThan(least);
    const wrong: string[] = [];
    for (const [i, icon] of icons.entries()) {
      expect(readSvgDrawing(icon.text).length).toBeGreaterThan(0);
      if (i % MEASURED_EVERY !== 0) continue;
      for (const [, data] of icon.text.matchAll(/<path[^>]*\sd="([^"]+)"/g)) {
        const length = readPathData(data!).reduce((sum, part) => sum + lengthOf(part), 0);
        const right = trueLength(data!);
        if (!(Math.abs(length - right) <= 1e-6 * right)) wrong.push(`${icon.name}: ${length} for ${right}`);
      }
    }
    expect(wrong).toEqual([]);
  });
});
