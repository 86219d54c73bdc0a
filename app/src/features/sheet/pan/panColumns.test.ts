import { edits, freshShot, type Shot } from '@humble/core';
import { panTable } from '@humble/core/views';
import { panColumns, type PanReading } from './panColumns';

const SMALL = { name: 'Pan', rate: 24, lengthFrames: 5, width: 1920, height: 1080 };

/** Evenly 400 to the right and 200 down in four steps, over a plane twice as far away. */
function panned(): Shot {
  const framed = edits.addCamera(freshShot(SMALL));
  const { id: moveId } = framed.moves[0]!;
  const posed = edits.pose(framed, { moveId, frame: 5, to: { x: 1360, y: 740 }, path: 'straight' });
  const [{ id: markId }] = posed.moves[0]!.marks as unknown as readonly [{ readonly id: string }];
  const even = edits.setEasing(posed, { moveId, markId, easing: { kind: 'even' } });
  const picture = { sha256: 'a'.repeat(64), type: 'image/png', name: 'Sky', width: 100, height: 60 } as const;
  return edits.addPlane(even, { pictures: [picture], distance: 2, name: 'Sky' });
}

function readAs(reading: PanReading): Record<string, string> {
  const table = panTable(panned())!;
  const row = table.rows[2]!;
  return Object.fromEntries(panColumns(table, reading).map(({ header, write }) => [header, write(row)]));
}

test('along and across: the camera, and a plane twice as far goes half of it', () => {
  expect(readAs({ moves: 'camera', by: 'axes' })).toEqual({
    frame: '3',
    'across units': '+100.00',
    'down units': '+50.00',
    'frame units': '1920.00',
    '%': '100.0',
    turn: '0.0°',
    'Sky across units': '+50.00',
    'Sky down units': '+25.00',
  });
});

test('by compass the artwork goes the other way', () => {
  expect(readAs({ moves: 'artwork', by: 'compass' })).toMatchObject({
    'step units': 'W 100 N 50',
    'Sky step units': 'W 50 N 25',
  });
});

test('inches stand there only where the field has a scale', () => {
  const scaled = panTable(edits.setScale(panned(), { unitsPerMm: 4, units: 'mm' }))!;
  const inches = panColumns(scaled, { moves: 'camera', by: 'axes' }).find(({ id }) => id === 'inches');
  expect(inches?.write(scaled.rows[0]!)).toBe('18.90');
});
