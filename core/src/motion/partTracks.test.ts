import {
  applyTo,
  compose,
  IDENTITY,
  rotationAbout,
  scalingAbout,
  type Transform,
  translation,
} from '../arc/transform';
import { edits } from '../edits/edits';
import { circle, shotAlong } from '../testing/shapes';
import type { Shot } from '../model/schema';
import { evaluate } from './evaluate';
import { partsOn, waitingFigure } from './figureOn';
import { lookOf } from './look';
import { type PartState, type PartTrack, partTracks } from './partTracks';
import { sceneOn } from './scene';

const moveId = 'move1';

/** A mirrored figure with a front, keys of its turn and its size, a rider that is mirrored, on twos, put by hand once. */
function lively(): Shot {
  const round = edits.setFramesHeld(shotAlong(circle(300), 24), { moveId, framesHeld: 2 });
  const faced = edits.setFigure(round, { figureId: 'figure1', frontDeg: 35 });
  const mirrored = edits.setTurning(faced, { moveId, mirrored: true, sizesApart: true });
  const turned = edits.setKey(mirrored, { moveId, track: 'turn', frame: 5, value: 40 });
  const sized = edits.setKey(turned, { moveId, track: 'sizeDown', frame: 9, value: 60 });
  const ridden = edits.addRider(sized, { moveId, name: 'Tail', height: 40, frontDeg: 20 });
  const riderId = ridden.moves[0]!.riders[0]!.id;
  const tail = edits.setRider(ridden, {
    moveId,
    riderId,
    mirrored: true,
    sizePercent: 70,
    follows: { by: 'distance', distance: -90 },
  });
  return edits.putByHand(tail, { moveId, frame: 7, dx: 12, dy: -9 });
}

const ORIGIN = { x: 0, y: 0 };

/** The steps of a track on one exposure come to a placement. */
function expectAlike(track: PartTrack, state: PartState, placement: Transform): void {
  const { figure, flipX, flipY, frontDeg } = track;
  const { x, y, headingDeg, scale } = state;
  const { pivot, width, height } = lookOf(figure);
  const steps = [
    translation({ x: -pivot.x, y: -pivot.y }),
    scalingAbout(ORIGIN, scale.across, scale.down),
    rotationAbout(ORIGIN, -frontDeg),
    scalingAbout(ORIGIN, flipX, flipY),
    rotationAbout(ORIGIN, headingDeg),
    translation({ x, y }),
  ];
  const whole = steps.reduce(compose, IDENTITY);
  for (const corner of [ORIGIN, { x: width, y: 0 }, { x: width, y: height }]) {
    expect(applyTo(whole, corner).x).toBeCloseTo(applyTo(placement, corner).x, 6);
    expect(applyTo(whole, corner).y).toBeCloseTo(applyTo(placement, corner).y, 6);
  }
}

test('steps that are animated apart come to the same place as the evaluation, on every exposure', () => {
  const shot = lively();
  const [travel] = evaluate(shot).travels;
  const tracks = partTracks(shot);
  expect(tracks.map(({ name }) => name)).toEqual(['Tail', 'Figure 1']);
  tracks.forEach(({ states }, index) => {
    expect(states.map(({ frame }) => frame)).toEqual([1, 3, 5, 7, 9, 11, 13, 15, 17, 19, 21, 23]);
    for (const state of states)
      expectAlike(tracks[index]!, state, partsOn(travel!, state.frame - 1)[index]!.placement);
  });
});

test.each([
  [true, false],
  [true, true],
  [false, true],
])('a figure that waits stands where it waits (turning %s, mirrored %s)', (turnsWithArc, mirrored) => {
  const set = edits.setTurning(lively(), { moveId, turnsWithArc, mirrored });
  const waits = edits.detachFigure(set, { figureId: 'figure1', frame: 5 });
  const [track, ...others] = partTracks(waits);
  const stands = waitingFigure(waits, waits.waiting[0]!)!;
  expect([others, track!.states]).toEqual([[], [expect.objectContaining({ frame: 1, opacity: 1 })]]);
  expectAlike(track!, track!.states[0]!, stands.placement);
});

test('a scene has what a camera would see, as it is exposed, and no hidden figure', () => {
  const shot = lively();
  const on = (frame: number) => sceneOn(shot, frame).map(({ placement }) => [placement.e, placement.f]);
  expect(on(8)).toEqual(on(7));
  expect(on(8)).not.toEqual(on(9));
  expect(sceneOn(shot, 1)).toHaveLength(2);
  expect(sceneOn(edits.setFigure(shot, { figureId: 'figure1', hidden: true }), 1)).toEqual([]);
  const picture = {
    sha256: 'ab'.repeat(32),
    type: 'image/png',
    name: 'set',
    width: 100,
    height: 50,
  } as const;
  const set = edits.putBackdrop(shot, { pictures: [picture] });
  const [back] = sceneOn(set, 1);
  expect(back).toMatchObject({ kind: 'picture', picture: { name: 'set' } });
  // It fits the field, about its middle.
  expect(applyTo(back!.placement, { x: 50, y: 25 })).toEqual({ x: 960, y: 540 });
  expect(sceneOn(set, 1, false)).toHaveLength(2);
});
