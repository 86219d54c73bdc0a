import { edits, frameCorners, freshShot, type Shot } from '@humble/core';
import { hintFor } from './hints';
import { pointsAt, targetAt, type FieldState } from './hitTest';
import { selectionBoxRound, selectionBoxGrips } from './selectionBox';
import { numberedTicks } from './layers/numberedTicks';
import { pannedBy, project, throughCamera, toField, toView, wholeField, zoomedAt } from './viewport';

const still = { x: 0, y: 0 };
const shot: Shot = edits.drawArc(
  freshShot({ name: 'Quay', rate: 24, lengthFrames: 21, width: 1000, height: 500 }),
  {
    points: [
      { x: 100, y: 250, in: still, out: { x: 60, y: 0 }, kind: 'smooth' },
      { x: 130, y: 250, in: { x: -10, y: 0 }, out: { x: 10, y: 0 }, kind: 'smooth' },
      { x: 900, y: 250, in: { x: -60, y: 0 }, out: still, kind: 'smooth' },
    ],
  },
);
const arc = shot.arcs[0]!;
const state: FieldState = {
  edits: 'arcs',
  shoot: null,
  tool: 'shape',
  arc,
  others: [],
  selectedPointIds: [],
  grips: [],
  placed: [],
  isPutByTap: false,
  isSelectingSeveral: false,
  timed: [],
  figure: null,
  knob: null,
  otherFigures: [],
  riders: [],
  waits: null,
};

describe('what a press takes hold of', () => {
  test('the nearest of points that lie close', () => {
    expect(targetAt(state, { x: 112, y: 255 }, 40)).toMatchObject({ kind: 'point', pointId: 'p1' });
    expect(targetAt(state, { x: 118, y: 255 }, 40)).toMatchObject({ kind: 'point', pointId: 'p2' });
  });

  test('a handle of the selected point only', () => {
    expect(targetAt({ ...state, selectedPointIds: ['p1'] }, { x: 160, y: 250 }, 20)).toEqual({
      kind: 'handle',
      pointId: 'p1',
      side: 'out',
    });
    expect(targetAt(state, { x: 160, y: 250 }, 20).kind).toBe('arc');
  });

  test('the arc within reach, else the ground; points only in the Arc step', () => {
    expect(targetAt(state, { x: 500, y: 262 }, 20)).toMatchObject({ kind: 'arc', segment: 1 });
    expect(targetAt(state, { x: 500, y: 300 }, 20).kind).toBe('ground');
    expect(targetAt({ ...state, edits: 'timing' }, { x: 100, y: 250 }, 20).kind).toBe('arc');
  });

  test('everything is paper before there is an arc, and while one is drawn', () => {
    expect(targetAt({ ...state, arc: null }, { x: 0, y: 0 }, 20).kind).toBe('stroke');
    expect(targetAt({ ...state, tool: 'stroke' }, { x: 100, y: 250 }, 20).kind).toBe('stroke');
  });

  test('a grip of the frame before a point beneath it, and nothing of an arc that is locked', () => {
    const grips = selectionBoxGrips(selectionBoxRound(arc.points, 1)!, {
      from: { x: 0, y: 0 },
      to: { x: 1000, y: 500 },
    });
    expect(grips.map(({ grip }) => grip).sort()).toEqual([
      'move',
      'scale',
      'scale',
      'scale',
      'scale',
      'turn',
    ]);
    const [corner] = grips;
    expect(targetAt({ ...state, grips }, corner!.at, 20)).toEqual({ kind: 'grip', grip: 'scale' });
    const locked = { ...state, arc: { ...arc, locked: true } };
    expect(targetAt(locked, { x: 100, y: 250 }, 20).kind).toBe('arc');
    expect(hintFor(locked, null)).toMatch('locked');
  });

  test('the arc being worked on before another one that crosses it', () => {
    const other = { ...arc, id: 'arc2', name: 'Jetty', points: arc.points.map((p) => ({ ...p, y: 262 })) };
    const both = { ...state, others: [other] };
    expect(targetAt(both, { x: 500, y: 254 }, 20).kind).toBe('arc');
    expect(targetAt(both, { x: 500, y: 262 }, 20)).toMatchObject({ kind: 'other-arc', name: 'Jetty' });
    expect(hintFor(both, { kind: 'other-arc', arcId: 'arc2', name: 'Jetty' })).toBe('Tap: work on “Jetty”.');
  });

  test('the first of three placed points closes the arc, of two it does not', () => {
    const placing = { ...state, tool: 'points' as const, placed: arc.points };
    expect(targetAt(placing, { x: 104, y: 250 }, 20)).toEqual({ kind: 'placing', closes: true });
    expect(targetAt({ ...placing, placed: arc.points.slice(1) }, arc.points[1]!, 20)).toEqual({
      kind: 'placing',
      closes: false,
    });
  });

  test('points that lie close are named the nearest first', () => {
    const names = pointsAt(arc, { x: 118, y: 250 }, 20).map(({ id }) => id);
    expect(names).toEqual(['p2', 'p1']);
  });

  test('the hint says what will happen', () => {
    expect(hintFor(state, { kind: 'point', pointId: 'p1' })).toMatch('Drag: move this point.');
    expect(hintFor({ ...state, arc: null }, null)).toBe('Draw the arc with a stroke.');
    expect(hintFor({ ...state, tool: 'points' }, null)).toMatch('Tap to place');
  });
});

describe('what is in sight', () => {
  const view = { width: 532, height: 300 };
  const whole = wholeField(shot.field);
  const projection = project(whole, shot.field, view, 16);

  test('the whole field fits, in the middle', () => {
    expect(toView(projection, { x: 500, y: 250 })).toEqual({ x: 266, y: 150 });
    expect(projection.scale).toBeCloseTo(0.5, 9);
    const there = toField(projection, { x: 40, y: 90 });
    expect(toView(projection, there).x).toBeCloseTo(40, 9);
  });

  test('what is under the pointer stays there while it zooms', () => {
    const at = { x: 100, y: 80 };
    const held = toField(projection, at);
    const zoomed = project(zoomedAt(whole, projection, at, 3), shot.field, view, 16);
    expect(zoomed.scale).toBeCloseTo(1.5, 9);
    expect(toView(zoomed, held).x).toBeCloseTo(at.x, 6);
    expect(toView(zoomed, held).y).toBeCloseTo(at.y, 6);
  });

  test('panning moves by pixels', () => {
    const moved = project(pannedBy(whole, projection, 30, -12), shot.field, view, 16);
    expect(moved.offset.x - projection.offset.x).toBeCloseTo(30, 9);
    expect(moved.offset.y - projection.offset.y).toBeCloseTo(-12, 9);
  });
});

describe('through a camera that is turned', () => {
  const size = { width: 1000, height: 500 };
  const camera = { x: 700, y: 200, width: 500, turnDeg: 30 };
  const seen = project(throughCamera(camera, size), size, { width: 500, height: 250 }, 0);

  test('its frame fills the view', () => {
    expect(seen.scale).toBeCloseTo(1, 9);
    const [upperLeft, , lowerRight] = frameCorners(camera, size).map((at) => toView(seen, at));
    expect(upperLeft!.x).toBeCloseTo(0, 9);
    expect(upperLeft!.y).toBeCloseTo(0, 9);
    expect(lowerRight!.x).toBeCloseTo(500, 9);
    expect(lowerRight!.y).toBeCloseTo(250, 9);
  });

  test('a pointer means the place that it is over', () => {
    const there = toField(seen, { x: 120, y: 40 });
    expect(toView(seen, there).x).toBeCloseTo(120, 9);
    expect(toView(seen, there).y).toBeCloseTo(40, 9);
  });
});

describe('frame numbers in the field', () => {
  /** To the right from a frame on, so many pixels of half a unit apart; the numbers stand beneath. */
  const row = (frames: readonly number[], apart: number, y = 100) =>
    frames.map((frame, i) => ({ frame, x: (i * apart) / 2, y, acrossX: 0, acrossY: 1 }));
  const framesOf = (ticks: readonly { readonly frame: number }[]) => ticks.map(({ frame }) => frame);

  test('are written where there is room: two digits of 6.6 pixels, and 9 between', () => {
    expect(framesOf(numberedTicks(row([10, 15, 20, 25], 23), 0.5))).toEqual([10, 15, 20, 25]);
    expect(framesOf(numberedTicks(row([10, 15, 20, 25], 22), 0.5))).toEqual([10, 20]);
    expect(framesOf(numberedTicks(row([100, 105, 110], 23), 0.5))).toEqual([100, 110]);
  });

  test('of a way that is gone again do not lie over the first ones; on the other side of it they may', () => {
    const there = row([5, 10], 60);
    const again = row([30, 35], 60, 103);
    expect(framesOf(numberedTicks([...there, ...again], 0.5))).toEqual([5, 10]);
    const back = again.map((tick) => ({ ...tick, acrossY: -1 }));
    expect(framesOf(numberedTicks([...there, ...back], 0.5))).toEqual([5, 10, 30, 35]);
  });
});
