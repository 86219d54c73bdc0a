import { edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import { straightShot } from '../testing/shapes';
import { COPIES } from './copies';
import { writeIncrementsCsv } from './incrementsCsv';
import { readPathData } from './svgPathData';

const copied = (id: string, ...args: Parameters<(typeof COPIES)[number]['write']>): string =>
  COPIES.find((copy) => copy.id === id)!.write(...args);

const empty = freshShot({ name: 'Copied', rate: 24, lengthFrames: 11, width: 1920, height: 1080 });
const drawn = straightShot(400, 11);
const named = edits.setFigure(drawn, { figureId: drawn.figures[0]!.id, name: 'Crab, "old"' });

test('increments are copied as lines of as many cells as the file has, with tabs between them', () => {
  const lines = copied('increments', named, null).split('\n');
  const file = writeIncrementsCsv(named).trimEnd().split('\n');
  expect(lines).toHaveLength(file.length);
  expect(lines[0]!.split('\t')).toEqual(file[0]!.split(','));
  for (const line of lines) expect(line.split('\t')).toHaveLength(file[0]!.split(',').length);
  expect(lines[1]).toContain('Crab, ');
});

test('an arc is copied as path data that reads back as the same curve', () => {
  const [arc] = drawn.arcs;
  const [path] = readPathData(copied('arc', drawn, arc!.id));
  const [first, last] = [arc!.points[0]!, arc!.points.at(-1)!];
  expect(path?.cubics).toHaveLength(arc!.points.length - 1);
  expect(path?.cubics[0]!.start).toEqual({ x: first.x, y: first.y });
  expect(path?.cubics.at(-1)!.end).toEqual({ x: last.x, y: last.y });
});

test('of nothing nothing is copied', () => {
  for (const { write } of COPIES) expect(write(empty, null)).toBe('');
});
