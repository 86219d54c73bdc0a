import { DEMO_SHOTS } from '../testing/demoShots';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { edits } from '../edits/edits';
import { readShotFile } from '../model/openShot';
import type { Move, Shot } from '../model/schema';
import { incrementTable } from '../spacing/increments';
import { arcOf, circle, corner, markAt, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { importShot } from './importers';
import { writeIncrementsCsv } from './incrementsCsv';

const read = (text: string) => importShot({ name: 'Read.csv', text });
const back = (shot: Shot) => read(writeIncrementsCsv(shot));
const demo = (name: string): Shot => readShotFile(readFileSync(join(DEMO_SHOTS, `${name}.json`), 'utf8'));

/** What is seen, picture by picture. */
const seen = (shot: Shot, move: Move) =>
  incrementTable(shot, move).rows.map(({ frame, framesHeld, x, y, pivotX, pivotY, headingDeg, tracks }) => ({
    frame,
    framesHeld,
    places: [x, y, pivotX, pivotY],
    headingDeg,
    opacity: tracks.opacity,
  }));

function expectSame(shot: Shot, read: Shot): void {
  expect(read).toMatchObject({ rate: shot.rate, lengthFrames: shot.lengthFrames });
  expect(read.moves).toHaveLength(shot.moves.length);
  shot.moves.forEach((move, i) => {
    const [was, is] = [seen(shot, move), seen(read, read.moves[i]!)];
    expect(is.map(({ frame, framesHeld }) => `${frame}×${framesHeld}`)).toEqual(
      was.map(({ frame, framesHeld }) => `${frame}×${framesHeld}`),
    );
    is.forEach((row, k) => {
      row.places.forEach((value, n) => expect(value).toBeCloseTo(was[k]!.places[n]!, 3));
      expect(row.headingDeg).toBeCloseTo(was[k]!.headingDeg, 4);
      expect(row.opacity).toBeCloseTo(was[k]!.opacity, 4);
    });
  });
}

test.each([
  'rounds-of-the-harbour-master',
  'dropped-cork',
  'lantern-on-the-hook',
  'rowing-to-the-steps',
  'crabs-detour',
])('of %s every picture is kept as it was: frame, how long, place, heading, rate and length', (name) => {
  const shot = demo(name);
  expectSame(shot, back(shot).shot);
});

test('all figures of a table come, each under its name; a still one stays where it is', () => {
  const first = straightShot(300, 21);
  const second = edits.drawArc(first, { points: arcOf([corner(0, 50), corner(200, 300)]).points });
  const third = edits.drawArc(second, { points: arcOf([corner(700, 70), corner(900, 70)]).points });
  const named = ['Eel', '=Crab', 'Post'].reduce(
    (shot, name, i) => edits.setFigure(shot, { figureId: shot.figures[i]!.id, name }),
    third,
  );
  const still: Shot = {
    ...named,
    moves: named.moves.map((move, i) =>
      i === 2
        ? { ...move, marks: [markAt(1, 0.5), markAt(21, 0.5)] }
        : { ...move, framesHeld: i === 1 ? 3 : 1 },
    ),
  };
  const { shot } = back(still);
  expect(shot.figures.map(({ name }) => name)).toEqual(['Eel', '=Crab', 'Post']);
  expectSame(still, shot);
});

test('a loop is a loop again', () => {
  const loop = withMarks(shotAlong(circle(100), 20), markAt(1, 0), markAt(21, 1));
  const { shot } = back(loop);
  expect([shot.arcs[0]!.closed, shot.lengthFrames]).toEqual([true, 20]);
  expect(incrementTable(shot, shot.moves[0]!).closing?.frame).toBe(21);
});

test('what fades, grows and stands off its place does so again, and the take keeps its name', () => {
  const shot = edits.setKey(
    edits.setKey(straightShot(200, 11), { moveId: 'move1', track: 'opacity', frame: 3, value: 20 }),
    { moveId: 'move1', track: 'offsetY', frame: 5, value: 40 },
  );
  const { shot: kept } = back(edits.renameTake(shot, { takeId: shot.takes[0]!.id, name: 'Faint' }));
  expectSame(shot, kept);
  expect(kept.takes[0]!.name).toBe('Faint');
});

test('what a table cannot say is told', () => {
  expect(back(straightShot(200, 11)).notes).toEqual([
    'A table holds no artwork, backdrop or sound, and of the arc only the places: the figure is a stand-in, and the arc is drawn smoothly from place to place. Headings became keys of the turn.',
  ]);
  const bare = read('frame,place,x,y\n1,0,0,0\n4,5,5,0\n');
  expect(bare.notes[0]).toBe('The table doesn’t say the frame rate: it is set to 24 frames a second.');
  expect(bare.shot.lengthFrames).toBe(4);
  expect(read('frame,held,place,x,y,rate\n1,3,0,0,0,12\n4,7,5,5,0,12\n').shot).toMatchObject({
    rate: 12,
    lengthFrames: 10,
  });
  expect(() => read('frame,place,x,y,rate\n1,0,0,0,0\n4,5,5,0,0\n')).toThrow(
    'Line 2: rate is 0, and lies between 1 and 240.',
  );
});
