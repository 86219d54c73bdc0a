import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { arcLength } from '@humble/core';
import { importedPoints, readPathData } from '@humble/core/svg';
import SvgPath from 'svgpath';
import { expect, ONCE, test } from '../support/test';

const require = createRequire(import.meta.url);

/** The browser measures by chords of a good part of a unit: of a larger path, that is a smaller share. */
const LARGER = 1000;
const AGREEMENT = 1e-5;
/** It draws an elliptical arc as one cubic a quarter, which is off by this share of the length; ours is not. */
const AGREEMENT_ON_ARCS = 5e-4;
const agreement = (data: string): number => (/a/i.test(data) ? AGREEMENT_ON_ARCS : AGREEMENT);

/** Path data of a package of icons. */
function pathsOf(name: string, folder: string): string[] {
  const icons = join(dirname(require.resolve(`${name}/package.json`)), folder);
  return readdirSync(icons)
    .filter((file) => file.endsWith('.svg'))
    .flatMap((file) => [...readFileSync(join(icons, file), 'utf8').matchAll(/<path[^>]*\sd="([^"]+)"/g)])
    .map(([, data]) => data!);
}

const IN_PLACE = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };

/** Length of an imported path, all its parts together, as the core measures it. */
const importedLength = (data: string): number =>
  readPathData(data).reduce((sum, path) => {
    const points = importedPoints(path, IN_PLACE).map((point, i) => ({
      shaping: null,
      ...point,
      id: `p${i}`,
    }));
    const arc = { id: 'arc', name: 'Icon', closed: path.closed, points, shape: null } as const;
    return sum + arcLength({ ...arc, colour: 'indigo', hidden: false, locked: false });
  }, 0);

test('every icon that is imported is as long as the browser says', ONCE, async ({ page }) => {
  test.setTimeout(600_000);
  const all = [...pathsOf('bootstrap-icons', 'icons'), ...pathsOf('@mdi/svg', 'svg')];
  expect(all.length).toBeGreaterThan(9000);
  await page.setContent('<svg xmlns="http://www.w3.org/2000/svg"><path id="path"/></svg>');
  const seen = await page.evaluate(
    (paths) => {
      const path = document.querySelector<SVGPathElement>('#path')!;
      return paths.map((d) => {
        path.setAttribute('d', d);
        return path.getTotalLength();
      });
    },
    all.map((data) => SvgPath.from(data).scale(LARGER).toString()),
  );
  const wrong = all.filter(
    (data, i) => !(Math.abs(seen[i]! / LARGER / importedLength(data) - 1) < agreement(data)),
  );
  expect(wrong).toEqual([]);
});
