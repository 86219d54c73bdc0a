import { edits, freshShot, type Shot } from '@humble/core';
import { incrementTable, unrolledArc } from '@humble/core/views';
import { middleOfLongest } from './arc/middleOfLongest';
import { columnsOf } from './sheet/columns';
import { changedAt } from './shots/changedAt';
import { frameNear } from './timing/targets/selectTiming';
import { type Axis } from '../ui/axis';
import { incrementLabels } from './timing/ruler/rulerPaths';
import { fixed } from '../ui/numbers';

const still = { x: 0, y: 0 };
const shot: Shot = edits.drawArc(
  freshShot({ name: 'Quay', rate: 24, lengthFrames: 21, width: 1000, height: 500 }),
  {
    points: [0, 100, 600].map((x) => ({ x, y: 0, in: still, out: still, kind: 'corner' as const })),
  },
);
const move = shot.moves[0]!;

describe('the ruler', () => {
  const ruler = unrolledArc(shot, move);
  const axis: Axis = { from: ruler.from, to: ruler.to, start: 12, end: 312 };

  test('writes increments only where they have room, and never across a post', () => {
    const labels = incrementLabels(ruler, axis, (along) => fixed(along, 1));
    expect(labels.length).toBeGreaterThan(3);
    labels.slice(1).forEach(({ x }, i) => expect(x - labels[i]!.x).toBeGreaterThanOrEqual(34));
    for (const { x } of labels) expect(Math.min(x - 12, 312 - x)).toBeGreaterThanOrEqual(17);
  });

  test('scrubs to the tick under the finger', () => {
    const { frame, arcDistance } = ruler.ticks[8]!;
    expect(frameNear(ruler, arcDistance + 2, 1)).toBe(frame);
  });
});

describe('the sheet', () => {
  const ids = (s: Shot) => columnsOf(incrementTable(s, s.moves[0]!)).map((column) => column.id);

  test('has every column, and the ruler’s only when increments are rounded to one', () => {
    expect(ids(shot)).toEqual(['frame', 'held', 'place', 'along', 'straight', 'x', 'y', 'heading', 'total']);
    expect(ids(edits.setSheet(shot, { rulerStep: 0.5 }))).toContain('ruler');
  });

  test('writes a ruler’s numbers with the decimals of its step', () => {
    const table = incrementTable(edits.setSheet(shot, { rulerStep: 0.25 }), move);
    const column = columnsOf(table).find(({ id }) => id === 'ruler') as {
      accessorFn: (row: object, i: number) => string;
    };
    expect(column.accessorFn({ kind: 'picture', row: table.rows[0]! }, 0)).toBe('·');
    expect(column.accessorFn({ kind: 'picture', row: table.rows[5]! }, 5)).toMatch(/^\d+\.\d\d$/);
  });
});

test('a point asked for by button goes into the middle of the longest segment', () => {
  expect(middleOfLongest(shot.arcs[0]!)).toEqual({ segment: 1, t: 0.5 });
});

test('the last change shows the time today, the day this year, the year before that', () => {
  const now = new Date(2026, 10, 25, 18, 0);
  expect(changedAt(new Date(2026, 10, 25, 9, 5).toISOString(), now)).toMatch(/0?9:05/);
  expect(changedAt(new Date(2026, 2, 3).toISOString(), now)).not.toMatch(/2026/);
  expect(changedAt(new Date(2025, 2, 3).toISOString(), now)).toMatch(/2025/);
});
