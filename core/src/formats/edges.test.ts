import { edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import { openShot } from '../model/openShot';
import { MAX_COORDINATE } from '../model/limits';
import { ladderOf } from '../spacing/ladder';
import { markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { evaluate } from '../motion/evaluate';
import { writeIncrementsCsv } from './incrementsCsv';
import { shotCard } from './shotCard';
import { withTimingFrom } from './timingFromIncrements';
import { boxAround } from './importedArc';
import { ladderSvg } from './ladderSvg';
import { readIncrementsCsv, readIncrementsTable } from './readIncrementsCsv';
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
  expect(svg).toContain('<title>Tide &amp; &lt;time&gt; &quot;up&quot;</title>');
});

test('a table without x or y makes no shot', () => {
  const table = readIncrementsTable('frame,place\n1,0\n2,5\n');
  expect(() => shotFromIncrements(table, 'Walk', 24)).toThrow('This table has no column x');
});

describe('tracked positions', () => {
  test.each(['x,y\n1,2\n', 'frame,y\n1,2\n', 'frame,x\n1,2\n', ''])('need all their columns: %j', (text) => {
    expect(() => readTrackedCsv(text, 24)).toThrow('need a head with the columns frame or seconds, x and y');
  });

  test('may lie as far out as a point may, and no further', () => {
    const at = (x: number) => readTrackedCsv(`frame,x,y\n1,${x},0\n2,0,0\n`, 24);
    expect(at(MAX_COORDINATE).frames).toBe(1);
    expect(() => at(MAX_COORDINATE * 1.001)).toThrow('line 2 lies too far outside the field');
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

test('the box round a curve that never turns back is that of its ends', () => {
  const rising = {
    start: { x: 0, y: 0 },
    control1: { x: 10, y: 10 },
    control2: { x: 20, y: 20 },
    end: { x: 60, y: 60 },
  };
  expect(boxAround([rising])).toEqual({ left: 0, right: 60, top: 0, bottom: 60 });
});

describe('an increments file', () => {
  test.each(['0', '-1', '1.5', '', '20002', 'two'])('with the frame %j names its line', (frame) => {
    expect(() => readIncrementsCsv(`frame,place\n${frame},0\n30,5\n`)).toThrow(/^Line 2: frame/);
  });

  test('of several moves has the one that is meant, else the first', () => {
    const text = 'move,frame,place\na,1,0\na,2,4\nb,1,0\nb,5,9\n';
    const frames = (moveId?: string) => readIncrementsCsv(text, moveId).rows.map(({ frame }) => frame);
    expect(frames('b')).toEqual([1, 5]);
    expect(frames('a')).toEqual([1, 2]);
    expect(frames()).toEqual([1, 2]);
    expect(frames('c')).toEqual([1, 2]);
  });

  test('quotes the beginning of what is no number', () => {
    expect(() => readIncrementsCsv(`frame,place\n1,${'x'.repeat(90)}\n2,5\n`)).toThrow(
      `place is “${'x'.repeat(20)}”, which is not a number.`,
    );
  });

  test('that is read back moves places in a later span, too', () => {
    const shot = withMarks(straightShot(100, 9), markAt(1, 0), markAt(5, 0.4), markAt(9, 1));
    const text = writeIncrementsCsv(shot);
    const changed = text.replace(/^(move1,[^,]*,7,1,)70,70,/m, '$175,75,');
    expect(changed).not.toBe(text);
    const read = withTimingFrom(shot, 'move1', readIncrementsCsv(changed, 'move1'), 'place');
    expect(read).toMatchObject({ outcome: 'read', moved: 1 });
    const { arcDistance } = evaluate((read as { shot: typeof shot }).shot).travels[0]!;
    expect(Array.from(arcDistance, (s) => Math.round(s * 1e6) / 1e6)).toEqual([
      0, 10, 20, 30, 40, 55, 75, 85, 100,
    ]);
  });
});

test('the only figure on a card stands there in full strength', () => {
  const still = withMarks(straightShot(100, 3), markAt(1, 0), markAt(3, 0));
  const held = edits.setFramesHeld(still, { moveId: 'move1', framesHeld: 3 });
  expect(shotCard(held).ghosts.at(-1)!.strength).toBe(1);
  const { ghosts } = shotCard(straightShot(100, 30));
  expect(ghosts[0]!.strength).toBe(0);
  expect(ghosts.at(-1)!.strength).toBe(1);
});

test('old files with parts that are no parts get a sentence', () => {
  const old = { format: 'humble-pendulum-shot', version: 1, name: 'Quay', moves: [null, 3], arcs: [null] };
  expect(() => openShot(old)).toThrow(/^This shot cannot be used: /);
});

test('a number in a sentence has no more than six decimals', () => {
  const shot = straightShot(100, 9);
  const wrong = { ...shot, rate: 0.12345678901 };
  expect(() => openShot(wrong)).toThrow('0.123457');
});

test('skipped exposures out of order are no sound shot', () => {
  const shot = straightShot(100, 20);
  const with_ =
    (...frames: number[]) =>
    () =>
      openShot({
        ...shot,
        moves: [{ ...onlyMove(shot), skips: frames.map((frame) => ({ frame, cut: null })) }],
      });
  expect(with_(3, 7, 9)).not.toThrow();
  expect(with_(3, 9, 7)).toThrow('frames must follow each other');
  expect(with_(3, 3)).toThrow('frames must follow each other');
});
