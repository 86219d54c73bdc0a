import { circle, markAt, onlyMove, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { ShotError } from '../model/errors';
import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { incrementTable } from '../spacing/increments';
import { unrolledArc } from '../spacing/unrolledArc';
import { writeIncrementsCsv } from './incrementsCsv';
import { readIncrementsCsv, readIncrementsTable } from './readIncrementsCsv';
import { shotFromIncrements } from './shotFromIncrements';
import { type ReadTiming, withTimingFrom } from './timingFromIncrements';

/** What was read, where something was. */
function read(timing: ReadTiming): Extract<ReadTiming, { outcome: 'read' }> {
  if (timing.outcome !== 'read') throw new Error(`The outcome is ${timing.outcome}.`);
  return timing;
}

describe('increments as CSV', () => {
  const steady66 = { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' } as const;
  const shot = edits.setSheet(straightShot(120, 21, steady66), { rulerStep: 0.5 });

  test('has a header and one line for each exposure', () => {
    const lines = writeIncrementsCsv(shot).trimEnd().split('\n');
    expect(lines).toHaveLength(22);
    expect(lines[0]).toMatch(/^move,figure,frame,held,place,percent,x,y,along,straight,/);
    expect(lines[2]).toBe(
      'move1,Figure 1,2,1,0.714286,0.595238,0.714286,0,0.714286,0.714286,0.714286,0,0,0,0.714286,0.5,0.5,0,100,100,100,0,0,0.714286,0,1,field,Take 1,24',
    );
  });

  test('a figure named like a formula cannot run in a spreadsheet', () => {
    const named = edits.setFigure(shot, { figureId: 'figure1', name: '=1+1' });
    expect(writeIncrementsCsv(named).split('\n')[1]).toMatch(/^move1,'=1\+1,/);
  });

  test('read back as timing, it puts every exposure where the table says', () => {
    const table = readIncrementsCsv(writeIncrementsCsv(shot));
    const even = edits.setEasing(shot, { moveId: 'move1', markId: 'm1', easing: { kind: 'even' } });
    const { shot: back } = read(withTimingFrom(even, 'move1', table));
    const places = (s: Shot) => incrementTable(s, onlyMove(s)).rows.map((row) => row.arcDistance);
    places(back).forEach((place, i) => expect(place).toBeCloseTo(places(shot)[i]!, 5));
  });

  test('read back as a shot, its arc passes through every place at its time, and twos stay twos', () => {
    const twos = edits.setFramesHeld(shot, { moveId: 'move1', framesHeld: 2 });
    const back = shotFromIncrements(readIncrementsTable(writeIncrementsCsv(twos)), 'Back', 12).shot;
    expect(onlyMove(back).framesHeld).toBe(2);
    const rows = (s: Shot) => incrementTable(s, onlyMove(s)).rows;
    expect(rows(back)).toHaveLength(11);
    rows(back).forEach((row, i) => expect(row.x).toBeCloseTo(rows(twos)[i]!.x, 4));
  });

  test('a table in millimetres keeps its millimetres', () => {
    const mm = edits.setSheet(edits.setScale(shot, { unitsPerMm: 2.5 }), { units: 'mm' });
    const back = shotFromIncrements(readIncrementsTable(writeIncrementsCsv(mm)), 'Back', 12).shot;
    expect(incrementTable(back, onlyMove(back)).rows.at(-1)!.x).toBeCloseTo(48, 4);
  });

  const header = 'frame,place,x,y\n';
  test.each([
    ['no columns', 'a,b\n1,2\n', /no column frame/],
    ['one row', `${header}1,0,0,0\n`, /fewer than two/],
    ['a word for a number', `${header}1,0,0,0\n2,far,0,0\n`, /Line 3: place is “far”/],
    ['half a frame', `${header}1,0,0,0\n2.5,1,0,0\n`, /Line 3: frame must be a whole number/],
    ['frames out of order', `${header}5,0,0,0\n4,1,0,0\n`, /frame 4 does not follow frame 5/],
  ])('%s gets a sentence', (_, text, sentence) => {
    expect(() => readIncrementsCsv(text)).toThrow(sentence);
  });

  test('a place beyond the arc is refused by frame, and a table where nothing moves by a sentence', () => {
    const beyond = readIncrementsCsv(`${header}1,0,0,0\n2,500,0,0\n`);
    expect(() => withTimingFrom(shot, 'move1', beyond)).toThrow(
      'Frame 2: place 500 is not on the arc, which is 120.00 long',
    );
    const still = readIncrementsTable(`${header}1,0,4,4\n2,0,4,4\n`);
    expect(() => shotFromIncrements(still, 'Still', 24)).toThrow('Nothing moves');
  });
});

const tableOf = (shot: Shot) => incrementTable(shot, onlyMove(shot));
const placesOf = (shot: Shot): number[] => tableOf(shot).rows.map(({ arcDistance }) => arcDistance);

/** The file of a shot with one cell changed. */
function withCell(shot: Shot, frame: number, column: string, change: (value: number) => number): string {
  const [head, ...lines] = writeIncrementsCsv(shot).trimEnd().split('\n');
  const at = head!.split(',').indexOf(column);
  return [
    head,
    ...lines.map((line) => {
      const cells = line.split(',');
      if (cells[2] === String(frame)) cells[at] = String(change(Number(cells[at])));
      return cells.join(',');
    }),
  ].join('\n');
}

describe('increments that are read count', () => {
  const even = straightShot(200, 21);
  const timing = (shot: Shot, text: string) => withTimingFrom(shot, 'move1', readIncrementsCsv(text));

  test.each([
    ['a slow place', straightShot(120, 21, { kind: 'slow-place', at: 0.4, strength: 0.7 })],
    ['ramps', straightShot(120, 21, { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'soft' })],
    [
      'a loop',
      edits.setSheet(withMarks(shotAlong(circle(100), 20), markAt(1, 0), markAt(21, 1)), { rulerStep: 0.5 }),
    ],
    ['twos', edits.setFramesHeld(even, { moveId: 'move1', framesHeld: 2 })],
    ['a placement by hand', edits.putByHand(even, { moveId: 'move1', frame: 7, dx: 3, dy: 9 })],
  ])('a file of %s that is read back unchanged changes nothing', (_, shot) => {
    expect(timing(shot, writeIncrementsCsv(shot))).toEqual({ outcome: 'unchanged' });
  });

  test('a changed place moves that place alone', () => {
    const { shot, column, moved } = read(
      timing(
        even,
        withCell(even, 5, 'place', (p) => p + 4),
      ),
    );
    expect([column, moved]).toEqual(['place', 1]);
    expect(placesOf(shot).map((p) => Math.round(p * 1e6) / 1e6)).toEqual(
      Array.from({ length: 21 }, (_, i) => (i === 4 ? 44 : 10 * i)),
    );
    expect(onlyMove(shot).marks).toHaveLength(2);
  });

  test.each([
    ['percent', 2, 44],
    ['total', 4, 44],
    ['ruler_total', 4, 44],
  ])('so does a changed %s', (name, by, place) => {
    const { shot, column } = read(
      timing(
        even,
        withCell(even, 5, name, (value) => value + by),
      ),
    );
    expect(column).toBe(name);
    expect(placesOf(shot)[4]).toBeCloseTo(place, 6);
    expect(placesOf(shot)[5]).toBeCloseTo(50, 6);
  });

  test.each(['along', 'ruler'])('a changed %s moves all that follows', (name) => {
    const { shot, column, moved } = read(
      timing(
        even,
        withCell(even, 5, name, (value) => value - 4),
      ),
    );
    expect([column, moved]).toEqual([name, 17]);
    expect(placesOf(shot)[3]).toBeCloseTo(30, 6);
    expect(placesOf(shot)[4]).toBeCloseTo(36, 6);
    expect(placesOf(shot)[20]).toBeCloseTo(196, 6);
  });

  test('an increment that leads off the arc is refused by its frame', () => {
    expect(() =>
      timing(
        even,
        withCell(even, 21, 'along', (value) => value + 4),
      ),
    ).toThrow('Frame 21: place 204 is not on the arc, which is 200.00 long.');
  });

  test('a table of frames and increments alone is enough', () => {
    const text = [
      'frame,along',
      '1,',
      ...Array.from({ length: 20 }, (_, i) => `${i + 2},${i < 10 ? 5 : 15}`),
    ];
    const { shot, column } = read(timing(even, text.join('\n')));
    expect(column).toBe('along');
    expect(placesOf(shot)[10]).toBeCloseTo(50, 6);
    expect(placesOf(shot)[20]).toBeCloseTo(200, 6);
  });

  test('where columns say different things it asks, and the chosen one is obeyed', () => {
    const [head, ...lines] = withCell(even, 5, 'place', (p) => p + 4).split('\n');
    const along = head!.split(',').indexOf('along');
    const cells = lines[8]!.split(',');
    cells[along] = '7';
    lines[8] = cells.join(',');
    const table = readIncrementsCsv([head, ...lines].join('\n'));
    expect(withTimingFrom(even, 'move1', table)).toEqual({ outcome: 'choose', columns: ['place', 'along'] });
    const { shot, column } = read(withTimingFrom(even, 'move1', table, 'along'));
    expect(column).toBe('along');
    expect(placesOf(shot)[4]).toBeCloseTo(40, 6);
    expect(placesOf(shot)[8]).toBeCloseTo(77, 6);
  });

  test('a change of what cannot be obeyed is said', () => {
    expect(() =>
      timing(
        even,
        withCell(even, 5, 'y', (y) => y + 40),
      ),
    ).toThrow(/Only y differs from the shot/);
  });

  test('a mark on a changed exposure moves with it, and spans that did not change keep their easing', () => {
    const slow = { kind: 'slow-place', at: 0.5, strength: 0.5 } as const;
    const shot = withMarks(even, markAt(1, 0, { easing: slow }), markAt(11, 0.5), markAt(21, 1));
    const { shot: back } = read(
      timing(
        shot,
        withCell(shot, 15, 'place', (p) => p + 1),
      ),
    );
    expect(onlyMove(back).marks[0]!.easing).toEqual(slow);
    expect(onlyMove(back).marks[1]!.easing.kind).toBe('ticks');
    const { shot: moved } = read(
      timing(
        shot,
        withCell(shot, 11, 'place', (p) => p + 6),
      ),
    );
    expect(onlyMove(moved).marks[1]!.fraction).toBeCloseTo(0.53, 9);
    expect(placesOf(moved)[9]).toBeCloseTo(placesOf(shot)[9]!, 6);
  });

  test('a hold that is told to move moves', () => {
    const shot = withMarks(even, markAt(1, 0), markAt(8, 0.5), markAt(14, 0.5), markAt(21, 1));
    const { shot: back } = read(
      timing(
        shot,
        withCell(shot, 11, 'place', (p) => p + 2),
      ),
    );
    expect(placesOf(back)[10]).toBeCloseTo(102, 6);
    expect(placesOf(back)[9]).toBeCloseTo(100, 6);
  });

  const plain = writeIncrementsCsv(even);
  test.each([
    ['semicolons and decimal commas', plain.replace(/,/g, ';').replace(/\./g, ',')],
    ['tabs', plain.replace(/,/g, '\t')],
    ['a byte-order mark', `\uFEFF${plain}`],
    ['Windows line ends', plain.replace(/\n/g, '\r\n')],
    ['empty lines and spaces', plain.replace(/\n/g, ' \n\n').replace(/^/, '\n')],
  ])('%s are understood', (_, text) => {
    expect(timing(even, text)).toEqual({ outcome: 'unchanged' });
    const changed = text.replace(/\b80([,;\t])/, '82$1');
    expect(changed).not.toBe(text);
    expect(placesOf(read(timing(even, changed)).shot)[8]).toBeCloseTo(82, 6);
  });

  test('numbers beyond the field are refused with their line', () => {
    for (const number of ['1e308', '-1e9', '1e999', 'NaN', '--3'])
      expect(() => readIncrementsCsv(`frame,place\n1,0\n2,${number}\n`)).toThrow(ShotError);
    expect(() => readIncrementsCsv('frame,place\n1,0\n2,1e308\n')).toThrow(
      /Line 3: place is “1e308”, which is too large/,
    );
  });
});

describe('round a closed arc there are as many increments as pictures', () => {
  const loop = edits.setSheet(withMarks(shotAlong(circle(50.62), 20), markAt(1, 0), markAt(21, 1)), {
    rulerStep: 0.5,
  });

  test('the step from the last picture back to the first has its line', () => {
    const { rows, closing, arcLength } = tableOf(loop);
    expect(rows).toHaveLength(20);
    expect(closing).toMatchObject({ frame: 21, framesHeld: 0, percent: 100, x: rows[0]!.x, y: rows[0]!.y });
    expect(closing!.along).toBeCloseTo(arcLength / 20, 6);
    expect(closing!.total).toBeCloseTo(arcLength, 6);
    const increments = [...rows.slice(1), closing!];
    expect(increments).toHaveLength(20);
    expect(increments.reduce((sum, { ruler }) => sum + ruler!, 0)).toBeCloseTo(closing!.rulerTotal, 9);
    expect(closing!.headingDeg - rows[0]!.headingDeg).toBeCloseTo(360, 6);
    expect(unrolledArc(loop, onlyMove(loop)).closing).toMatchObject({
      frame: 21,
      arcDistance: closing!.arcDistance,
    });
  });

  test('the file has it too, and only where the loop closes', () => {
    expect(writeIncrementsCsv(loop).trimEnd().split('\n')).toHaveLength(22);
    const within = withMarks(loop, markAt(1, 0), markAt(20, 1));
    expect(tableOf(within).closing).toBeNull();
    expect(tableOf(straightShot(100, 20)).closing).toBeNull();
  });

  test('a change of it is obeyed', () => {
    const { shot } = read(
      withTimingFrom(loop, 'move1', readIncrementsCsv(withCell(loop, 12, 'place', (p) => p + 3))),
    );
    expect(onlyMove(shot).marks).toHaveLength(2);
    expect(shot.lengthFrames).toBe(20);
    expect(tableOf(shot).closing!.percent).toBeCloseTo(100, 9);
  });
});

test('a table in units has no scale', () => {
  const read = shotFromIncrements(
    readIncrementsTable(writeIncrementsCsv(straightShot(100, 9))),
    'Plain',
    24,
  ).shot;
  expect([read.field.unitsPerMm, read.sheet.units]).toEqual([null, 'field']);
});

test('a table in millimetres needs a shot with a scale', () => {
  const scaled = edits.setSheet(edits.setScale(straightShot(100, 9), { unitsPerMm: 2 }), { units: 'mm' });
  const table = readIncrementsCsv(writeIncrementsCsv(scaled));
  expect(() => withTimingFrom(straightShot(100, 9), 'move1', table)).toThrow(
    'This table is in millimetres, and the shot has no scale yet.',
  );
  expect(withTimingFrom(scaled, 'move1', table)).toEqual({ outcome: 'unchanged' });
});
