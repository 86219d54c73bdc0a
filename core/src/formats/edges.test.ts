import { edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import { openShot } from '../model/openShot';
import { FURTHEST } from '../model/limits';
import { ladderOf } from '../spacing/ladder';
import { onlyMove, straightShot } from '../testing/shapes';
import { boxAround } from './importedArc';
import { ladderSvg } from './ladderSvg';
import { readIncrementsCsv } from './readIncrementsCsv';
import { shotFromIncrements } from './shotFromIncrements';
import { readPathData } from './svgPathData';
import { readTrackedCsv } from './trackedCsv';

const endOf = (d: string, at: number) => readPathData(d)[0]!.cubics[at]!;

test('the box round a cubic holds where it turns back, and nothing beyond its ends', () => {
  const bow = {
    start: { x: 0, y: 0 },
    control1: { x: 0, y: -40 },
    control2: { x: 100, y: -40 },
    end: { x: 100, y: 0 },
  };
  expect(boxAround([bow])).toEqual({ left: 0, right: 100, top: -30, bottom: 0 });
  // As a longer curve this one would turn back beyond its ends.
  const part = {
    start: { x: 0, y: 0 },
    control1: { x: 10, y: 1 },
    control2: { x: 20, y: 4 },
    end: { x: 30, y: 9 },
  };
  expect(boxAround([part])).toEqual({ left: 0, right: 30, top: 0, bottom: 9 });
});

test('elliptical arcs of a path turn the way their flag says', () => {
  const half = (sweep: 0 | 1) => endOf(`M0 0A50 50 0 0 ${sweep} 100 0`, 2).end;
  expect(half(1).y).toBeLessThan(0);
  expect(half(0).y).toBeGreaterThan(0);
  const large = (sweep: 0 | 1) => boxAround(readPathData(`M0 0A50 50 0 1 ${sweep} 50 50`)[0]!.cubics);
  expect(large(1)).toMatchObject({ right: expect.closeTo(100, 2) });
  expect(large(0)).toMatchObject({ left: expect.closeTo(-50, 2) });
});

test('the name on a ladder may have any letters', () => {
  const shot = straightShot(100, 9);
  const svg = ladderSvg(ladderOf(shot, onlyMove(shot), 0), 'Tide & <time> "up"\u0007');
  expect(svg).toContain('<title>Tide &#38; &#60;time&#62; &#34;up&#34; </title>');
});

test('a table without x or y makes no shot', () => {
  const table = readIncrementsCsv('frame,place\n1,0\n2,5\n');
  expect(() => shotFromIncrements(table, 'Walk', 24)).toThrow('This table has no column x');
});

describe('tracked positions', () => {
  test.each(['x,y\n1,2\n', 'frame,y\n1,2\n', 'frame,x\n1,2\n', ''])('need all their columns: %j', (text) => {
    expect(() => readTrackedCsv(text, 24)).toThrow('need a head with the columns frame or seconds, x and y');
  });

  test('may lie as far out as a point may, and no further', () => {
    const at = (x: number) => readTrackedCsv(`frame,x,y\n1,${x},0\n2,0,0\n`, 24);
    expect(at(FURTHEST).frames).toBe(1);
    expect(() => at(FURTHEST * 1.001)).toThrow('line 2 lies too far outside the field');
  });
});

test('a gesture that goes back in time is said where it stands', () => {
  const shot = edits.keepGesture(
    freshShot({ name: 'Quay', rate: 24, lengthFrames: 24, width: 800, height: 600 }),
    { gesture: { x: [0, 1, 2], y: [0, 1, 2], ms: [0, 10, 20], speed: 1 } },
  );
  const torn = { ...shot, gestures: [{ ...shot.gestures[0]!, ms: [0, 10, 5] }] };
  expect(() => openShot(torn)).toThrow(/times of gesture 1/);
});
