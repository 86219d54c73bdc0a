import { applyTo } from '../arc/transform';
import { edits } from '../edits/edits';
import { readShotFile, writeShotFile } from '../model/openShot';
import { freshShot } from '../model/freshShot';
import type { Picture, Shot } from '../model/schema';
import {
  cameraOf,
  cameraOn,
  coveredOn,
  frameCorners,
  laidForCamera,
  restingCamera,
  seenThrough,
} from './cameraView';
import { checkShot } from '../checks';
import { byCompass, movedArtwork, panTable } from '../spacing/panTable';
import { writePanCsv } from '../formats/panCsv';
import { movingSvg } from '../formats/movingSvg';
import { lottieJson } from '../formats/lottieJson';
import { evaluate } from './evaluate';
import { sceneOn } from './scene';
import { shakenOn } from './shake';

const empty = freshShot({ name: 'Dusk', rate: 24, lengthFrames: 49, width: 1920, height: 1080 });
const withCamera = edits.addCamera(empty);
const moveId = withCamera.moves[0]!.id;
const picture: Picture = {
  sha256: 'a'.repeat(64),
  type: 'image/png',
  name: 'set.png',
  width: 4000,
  height: 1500,
};
const rounded = (value: number): number => Math.round(value * 1e4) / 1e4;
const cameraOnFrame = (shot: Shot, frame: number) => {
  const { x, y, width } = cameraOn(shot, frame)!;
  return [x, y, width].map(rounded);
};

test('a shot has at most one camera; it rests on the whole field, and everything looks as without it', () => {
  expect(() => edits.addCamera(withCamera)).toThrow('one camera');
  expect(cameraOf(withCamera)).toMatchObject({ name: 'Camera', height: 1080 });
  expect(cameraOn(empty, 1)).toBeNull();
  expect(cameraOn(withCamera, 20)).toEqual(restingCamera(empty.field));
  const still = edits.putBackdrop(withCamera, { pictures: [picture] });
  const plain = edits.putBackdrop(empty, { pictures: [picture] });
  expect(sceneOn(still, 20)).toEqual(sceneOn(plain, 20));
  expect(readShotFile(writeShotFile(still))).toEqual(still);
});

test('a second camera in a file is refused, and one that is a part of a figure', () => {
  const twice = {
    ...withCamera,
    figures: [...withCamera.figures, { ...withCamera.figures[0]!, id: 'figure9' }],
  };
  expect(() => readShotFile(JSON.stringify(twice))).toThrow('one camera');
});

describe('size', () => {
  const sized = (growth: 'ratio' | 'depth') => {
    const keyed = edits.setKey(edits.setKey(withCamera, { moveId, track: 'size', frame: 1, value: 100 }), {
      moveId,
      track: 'size',
      frame: 49,
      value: 50,
    });
    const [first] = keyed.moves[0]!.tracks.size;
    return edits.setKeyGrowth(keyed, { moveId, track: 'size', keyIds: [first!.id], growth });
  };

  test('from 1920 to 960 is 1357.645 in the middle by ratio, and 1280 by depth', () => {
    expect(cameraOn(sized('ratio'), 25)!.width).toBeCloseTo(1357.645, 3);
    expect(cameraOn(sized('depth'), 25)!.width).toBeCloseTo(1280, 9);
  });
});

test('a pan of 600 over 48 intervals, steady 12 / 12: the largest step is 16.6667, the first 0.6944', () => {
  const panned = edits.pose(withCamera, { moveId, frame: 49, to: { x: 1560, y: 540 }, path: 'straight' });
  const eased = edits.setEasing(panned, {
    moveId,
    markId: panned.moves[0]!.marks[0]!.id,
    easing: { kind: 'ramped', leaveFrames: 12, arriveFrames: 12, ramp: 'steady' },
  });
  const xs = Array.from({ length: 49 }, (_, i) => cameraOn(eased, i + 1)!.x);
  const steps = xs.slice(1).map((x, i) => x - xs[i]!);
  expect(steps[0]).toBeCloseTo(0.6944, 4);
  expect(Math.max(...steps)).toBeCloseTo(16.6667, 4);
});

test('in to a spot: its picture goes straight and evenly, the frame by depth', () => {
  const trucked = edits.truckIn(withCamera, {
    moveId,
    from: 1,
    until: 49,
    spot: { x: 1400, y: 300 },
    width: 640,
  });
  expect(cameraOnFrame(trucked, 1)).toEqual([960, 540, 1920]);
  expect(cameraOnFrame(trucked, 13)).toEqual([1180, 420, 1280]);
  expect(cameraOnFrame(trucked, 25)).toEqual([1290, 360, 960]);
  expect(cameraOnFrame(trucked, 37)).toEqual([1356, 324, 768]);
  expect(cameraOnFrame(trucked, 49)).toEqual([1400, 300, 640]);
  const seen = (frame: number) => {
    const at = applyTo(seenThrough(cameraOn(trucked, frame)!, empty.field)!, { x: 1400, y: 300 });
    return [rounded(at.x), rounded(at.y)];
  };
  expect([1, 13, 25, 37, 49].map(seen)).toEqual([
    [1400, 300],
    [1290, 360],
    [1180, 420],
    [1070, 480],
    [960, 540],
  ]);
  // Wherever it is to be put: here a third from the left.
  const beside = edits.truckIn(withCamera, {
    moveId,
    from: 1,
    until: 49,
    spot: { x: 1400, y: 300 },
    width: 640,
    at: { x: -320, y: 0 },
  });
  const end = applyTo(seenThrough(cameraOn(beside, 49)!, empty.field)!, { x: 1400, y: 300 });
  expect([rounded(end.x), rounded(end.y)]).toEqual([640, 540]);
  expect(() =>
    edits.truckIn(withCamera, { moveId, from: 9, until: 9, spot: { x: 0, y: 0 }, width: 640 }),
  ).toThrow('later frame');
  expect(() =>
    edits.truckIn(withCamera, { moveId, from: 1, until: 9, spot: { x: 0, y: 0 }, width: 0 }),
  ).toThrow('needs a width');
});

test('the picture of a spot is (P − C) · W / w, turned back by the turn of the frame', () => {
  const camera = { x: 1000, y: 500, width: 960, turnDeg: 90 };
  const at = applyTo(seenThrough(camera, empty.field)!, { x: 1000, y: 600 });
  // 100 below the middle, twice as large, and a quarter back: to the right.
  expect([rounded(at.x), rounded(at.y)]).toEqual([960 + 200, 540]);
});

describe('planes', () => {
  test('a step of 12 moves planes at 1, 1.5 and 3 by 12, 8 and 4', () => {
    const rest = restingCamera(empty.field);
    const moved = { ...rest, x: rest.x + 12 };
    const steps = [1, 1.5, 3].map((distance) => {
      const [before, after] = [rest, moved].map((camera) =>
        applyTo(seenThrough(camera, empty.field, distance)!, { x: 300, y: 200 }),
      );
      return rounded(before!.x - after!.x);
    });
    expect(steps).toEqual([12, 8, 4]);
  });

  test('a truck magnifies each by its own, and past a plane nothing of it is seen', () => {
    const near = { ...restingCamera(empty.field), width: 960 };
    const magnified = (distance: number): number => seenThrough(near, empty.field, distance)!.a;
    expect(magnified(1)).toBeCloseTo(2, 12);
    // Half as far from the arcs, the camera is 2.5 from what was 3 away.
    expect(magnified(3)).toBeCloseTo(3 / 2.5, 12);
    expect(seenThrough(near, empty.field, 0.4)).toBeNull();
    expect(coveredOn(near, empty.field, 3).width).toBeCloseTo((1920 * 2.5) / 3, 9);
  });

  test('are drawn by their depth, the backdrop among them; those in front of the arcs over the figures', () => {
    const far = edits.addPlane(edits.putBackdrop(empty, { pictures: [picture] }), {
      pictures: [{ ...picture, sha256: 'b'.repeat(64) }],
      distance: 3,
      name: 'Sky',
    });
    const near = edits.addPlane(far, {
      pictures: [{ ...picture, sha256: 'c'.repeat(64) }],
      distance: 0.5,
      name: 'Posts',
    });
    const drawn = edits.drawArc(near, {
      points: empty.arcs[0]?.points ?? [
        { x: 100, y: 500, in: { x: 0, y: 0 }, out: { x: 0, y: 0 }, kind: 'corner' },
        { x: 900, y: 500, in: { x: 0, y: 0 }, out: { x: 0, y: 0 }, kind: 'corner' },
      ],
    });
    const order = sceneOn(drawn, 1).map((item) =>
      item.kind === 'picture' ? item.picture.sha256[0] : item.kind,
    );
    expect(order).toEqual(['b', 'a', 'shape', 'c']);
    expect(edits.removePlane(drawn, { planeId: 'plane1' }).planes.map(({ name }) => name)).toEqual(['Posts']);
    expect(() => edits.setPlane(drawn, { planeId: 'plane9', distance: 2 })).toThrow('no plane plane9');
    let many = empty;
    for (let i = 0; i < 11; i++)
      many = edits.addPlane(many, { pictures: [picture], distance: 2, name: `Plane ${i}` });
    expect(() => edits.addPlane(many, { pictures: [picture], distance: 2, name: 'One more' })).toThrow(
      'at most 12',
    );
  });
});

test('a figure that is fixed to the camera stays in the picture', () => {
  const point = (x: number) => ({
    x,
    y: 500,
    in: { x: 0, y: 0 },
    out: { x: 0, y: 0 },
    kind: 'corner' as const,
  });
  const two = edits.drawArc(withCamera, { points: [point(100), point(900)] });
  const panned = edits.pose(two, { moveId, frame: 49, to: { x: 1560, y: 540 }, path: 'straight' });
  const xOn = (shot: Shot): number => {
    const [item] = sceneOn(shot, 49);
    return item!.kind === 'shape' ? item!.placement.e : NaN;
  };
  const figureId = two.figures[1]!.id;
  const fixed = edits.setFigure(panned, { figureId, isFixedToCamera: true });
  expect(xOn(fixed) - xOn(panned)).toBeCloseTo(600, 6);
});

describe('shakes', () => {
  const shake = {
    id: 's',
    kind: 'tremble',
    from: 5,
    fadeFrames: 20,
    amplitude: 10,
    turnDeg: 3,
    swingFrames: 6,
    seed: 7,
  } as const;

  test('are the same every time, keep to their amplitude, and fade', () => {
    const all = Array.from({ length: 40 }, (_, i) => shakenOn(shake, i + 1));
    expect(all).toEqual(Array.from({ length: 40 }, (_, i) => shakenOn(shake, i + 1)));
    all.forEach(({ x, y, turnDeg }, i) => {
      const left = i + 1 < 5 ? 0 : Math.max(0, 1 - (i + 1 - 5) / 20);
      expect(Math.abs(x)).toBeLessThanOrEqual(10 * left);
      expect(Math.abs(y)).toBeLessThanOrEqual(10 * left);
      expect(Math.abs(turnDeg)).toBeLessThanOrEqual(3 * left);
    });
    expect(Math.max(...all.map(({ x }) => Math.abs(x)))).toBeGreaterThan(2);
    expect(shakenOn({ ...shake, seed: 8 }, 9)).not.toEqual(shakenOn(shake, 9));
  });

  test('a knock starts at its whole way and swings', () => {
    const knock = { ...shake, kind: 'knock', fadeFrames: 12 } as const;
    const at = (frame: number) => shakenOn(knock, frame);
    expect(Math.hypot(at(5).x, at(5).y)).toBeCloseTo(10, 9);
    // Half a swing later it is on the other side, with three quarters of its frames left: squared.
    expect(at(8).x / at(5).x).toBeCloseTo(-(0.75 ** 2), 9);
    expect(at(17)).toEqual({ x: 0, y: 0, turnDeg: 0 });
  });

  test('lie on top of a move, of figures as well, and are listed frame by frame', () => {
    const shaken = edits.addShake(withCamera, {
      moveId,
      kind: 'knock',
      from: 10,
      fadeFrames: 8,
      amplitude: 20,
    });
    const { pivotX, x, shown } = evaluate(shaken).travels[0]!;
    expect(pivotX[8]).toBe(x[8]);
    expect(pivotX[9]).not.toBe(x[9]);
    expect(pivotX[20]).toBe(x[20]);
    expect(shown[9]).toBe(10);
    const calm = edits.removeShake(shaken, { moveId, shakeId: 'shake1' });
    expect(calm.moves[0]!.shakes).toEqual([]);
    expect(
      edits.setShake(shaken, { moveId, shakeId: 'shake1', amplitude: 5 }).moves[0]!.shakes[0]!.amplitude,
    ).toBe(5);
  });
});

test('a field of another size has a camera of that size', () => {
  const larger = edits.setFieldSize(withCamera, { width: 960, height: 540 });
  expect(cameraOf(larger)).toMatchObject({
    height: 540,
    artwork: { kind: 'camera', width: 960, height: 540 },
  });
});

/** A pan of so many units to the right on every frame, over planes at 1, 1.5 and 3. */
function panOver(step: number, frames = 3): Shot {
  const scaled = edits.setSheet(
    edits.setScale(edits.setLength(withCamera, { lengthFrames: frames }), { unitsPerMm: 2 }),
    {
      units: 'mm',
    },
  );
  const end = { x: 960 + step * (frames - 1), y: 540 };
  const panned = edits.pose(scaled, { moveId, frame: frames, to: end, path: 'straight' });
  const even = edits.setEasing(panned, {
    moveId,
    markId: panned.moves[0]!.marks[0]!.id,
    easing: { kind: 'even' },
  });
  const backed = edits.putBackdrop(even, { pictures: [picture] });
  return [1.5, 3].reduce(
    (now, distance) => edits.addPlane(now, { pictures: [picture], distance, name: `At ${distance}` }),
    backed,
  );
}

describe('the pan table', () => {
  test('has the step of the camera and of each plane: 12 mm are 12, 8 and 4', () => {
    const table = panTable(panOver(24))!;
    expect(table.names).toEqual(['At 3', 'At 1.5', 'Backdrop']);
    const [, second] = table.rows;
    expect(second!.across).toBeCloseTo(12, 9);
    expect(second!.planes.map(({ across }) => rounded(across))).toEqual([4, 8, 12]);
    expect(second).toMatchObject({ percent: 100, width: 960 });
    expect(second!.inches).toBeCloseTo(960 / 25.4, 9);
    expect(panTable(empty)).toBeNull();
  });

  test('is rounded to the ruler so that it adds up, and turns its signs where the artwork is moved', () => {
    const rows = panTable(edits.setSheet(panOver(2.5, 9), { rulerStep: 0.5 }))!.rows;
    for (const { across } of rows) expect(across * 2).toBeCloseTo(Math.round(across * 2), 9);
    expect(rows.reduce((sum, { across }) => sum + across, 0)).toBeCloseTo(rows[8]!.totalAcross, 9);
    expect(movedArtwork({ across: 3.5, down: -1 })).toEqual({ across: -3.5, down: 1 });
    expect(byCompass({ across: 3.5, down: -1 })).toBe('E 3.5 N 1');
    expect(byCompass({ across: -2, down: 0 })).toBe('W 2');
    expect(byCompass({ across: 0, down: 0 })).toBe('');
  });

  test('as CSV', () => {
    const [head, , second] = writePanCsv(panOver(24)).split('\n');
    expect(head).toMatch(/^frame,held,camera_across,camera_down,camera_compass,artwork_across/);
    expect(second).toMatch(/^2,1,12,0,E 12,-12,0,W 12,12,0,960,100,/);
  });
});

describe('checks of the camera', () => {
  const told = (shot: Shot, check: string) => checkShot(shot).filter((finding) => finding.check === check);

  test('it sees past the artwork: which edge, from when', () => {
    // The picture of 4000 × 1500 covers the field with 2880 across: 480 to spare on each side.
    const near = edits.putBackdrop(
      edits.pose(withCamera, { moveId, frame: 49, to: { x: 1600, y: 540 }, path: 'straight' }),
      { pictures: [picture] },
    );
    expect(told(near, 'pastArtwork')[0]!.sentence).toMatch(
      /^From frame \d+ to 49 the camera sees past the right edge/,
    );
    const inside = edits.putBackdrop(
      edits.pose(withCamera, { moveId, frame: 49, to: { x: 1400, y: 540 }, path: 'straight' }),
      { pictures: [picture] },
    );
    expect(told(inside, 'pastArtwork')).toEqual([]);
  });

  test('a pan that crosses the picture in under seven seconds, and one without a ramp', () => {
    // 1920 units in 7 seconds of 24 frames are 11.43 a frame.
    expect(told(panOver(12, 30), 'quickPan')).toHaveLength(1);
    expect(told(panOver(11, 30), 'quickPan')).toEqual([]);
    expect(told(panOver(11, 30), 'noRamp').map(({ sentence }) => sentence)).toEqual([
      'The camera starts on frame 2 at once, without a ramp.',
      'The camera stops on frame 30 at once, without a ramp.',
    ]);
    // What is asked of figures makes no sense of it.
    expect(told(panOver(12, 30), 'outOfPicture')).toEqual([]);
  });
});

test('what moves by itself is seen through the camera', () => {
  const point = (x: number) => ({
    x,
    y: 500,
    in: { x: 0, y: 0 },
    out: { x: 0, y: 0 },
    kind: 'corner' as const,
  });
  const shot = edits.drawArc(panOver(24), { points: [point(100), point(900)] });
  const svg = movingSvg(shot, { source: () => 'data:,' });
  // The figure hangs in a group that goes against the camera, the planes each in their own.
  expect(svg.match(/type="translate"/g)).toHaveLength(4);
  expect(svg).toContain('values="-960 -540;-984 -540;-1008 -540"');
  const layers = JSON.parse(lottieJson(shot, () => null)).layers as {
    nm: string;
    ind: number;
    parent?: number;
  }[];
  const camera = layers.find(({ nm }) => nm === 'Camera')!;
  expect(layers.some(({ parent }) => parent === camera.ind)).toBe(true);
  expect(layers.filter(({ nm }) => nm === 'Camera')).toHaveLength(1);
});

describe('the field, looked at through the camera', () => {
  const field = { width: 1920, height: 1080 };
  const leaning = { x: 1200, y: 400, width: 960, turnDeg: 10 };

  test('what is laid for it looks as in the picture', () => {
    const spot = { x: 700, y: 650 };
    for (const distance of [0.6, 1, 3]) {
      const laid = applyTo(laidForCamera(leaning, field, distance)!, spot);
      const looked = applyTo(seenThrough(leaning, field)!, laid);
      const pictured = applyTo(seenThrough(leaning, field, distance)!, spot);
      expect(looked.x).toBeCloseTo(pictured.x, 8);
      expect(looked.y).toBeCloseTo(pictured.y, 8);
    }
    // What is fixed to the camera keeps its place in the picture.
    const fixed = applyTo(laidForCamera(leaning, field, 'fixed')!, spot);
    expect(applyTo(seenThrough(leaning, field)!, fixed).x).toBeCloseTo(spot.x, 8);
    expect(laidForCamera(leaning, field, 0.4)).toBeNull();
  });

  test('the corners of the frame lie about its middle, turned with it', () => {
    const [upperLeft, upperRight, , lowerLeft] = frameCorners(leaning, field);
    expect(upperRight!.x - upperLeft!.x).toBeCloseTo(960 * Math.cos(Math.PI / 18), 8);
    expect(upperRight!.y - upperLeft!.y).toBeCloseTo(960 * Math.sin(Math.PI / 18), 8);
    expect((upperRight!.x + lowerLeft!.x) / 2).toBeCloseTo(1200, 8);
    expect((upperRight!.y + lowerLeft!.y) / 2).toBeCloseTo(400, 8);
  });
});
