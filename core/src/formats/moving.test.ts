import { edits } from '../edits/edits';
import { markAt, straightShot, withMarks } from '../testing/shapes';
import { lottieJson } from './lottieJson';
import { movingSvg } from './movingSvg';
import { sceneOn } from '../motion/scene';
import { scenesSvg } from './sceneSvg';
import { sliderFaults, sliderNeeds, sliderRows, writeSliderCsv } from './sliderCsv';
import { exposedInShot, strobeSvg } from './strobeSvg';

const moveId = 'move1';
const NO_PICTURES = { source: () => null };
/** 400 units on twos in 9 frames of a shot of 12. */
const shot = edits.setFramesHeld(
  edits.setLength(withMarks(straightShot(400, 9), markAt(1, 0), markAt(9, 1)), {
    lengthFrames: 12,
    moves: 'keep',
  }),
  { moveId, framesHeld: 2 },
);

test('a moving SVG has a time and a place for each exposure', () => {
  const svg = movingSvg(shot, NO_PICTURES);
  expect(svg).toContain('dur="0.5s"');
  expect(svg).toContain('path="M0 0L100 0L200 0L300 0L400 0"');
  expect(svg).toContain('keyPoints="0;0.25;0.5;0.75;1"');
  expect(svg).toContain('keyTimes="0;0.166666667;0.333333333;0.5;0.666666667"');
});

test('Lottie has held keys on each exposure, as long as the shot', () => {
  const { op, fr, layers } = JSON.parse(lottieJson(shot, () => null)) as {
    op: number;
    fr: number;
    layers: { nm: string; ty: number; ks: { p: { k: { t: number; s: number[]; h: number }[] } } }[];
  };
  expect([op, fr]).toEqual([12, 24]);
  const rides = layers.find(({ ty, nm }) => ty === 3 && !nm.includes('facing'))!;
  expect(rides.ks.p.k.map(({ t, s, h }) => [t, s[0], h])).toEqual([
    [0, 0, 1],
    [2, 100, 1],
    [4, 200, 1],
    [6, 300, 1],
    [8, 400, 1],
  ]);
});

test('a picture of a frame, and of all exposures or every n-th in one', () => {
  expect(scenesSvg(shot, [sceneOn(shot, 4)], NO_PICTURES).match(/<g transform/g)).toHaveLength(1);
  expect(exposedInShot(shot)).toEqual([1, 3, 5, 7, 9]);
  expect(strobeSvg(shot, NO_PICTURES).match(/<g transform/g)).toHaveLength(5);
  expect(strobeSvg(shot, { ...NO_PICTURES, every: 2 }).match(/<g transform/g)).toHaveLength(3);
  expect(strobeSvg(shot, { ...NO_PICTURES, from: 4, until: 7 }).match(/<g transform/g)).toHaveLength(2);
  expect(strobeSvg(shot, NO_PICTURES)).not.toContain('id="ticks"');
  const ticked = strobeSvg(shot, { ...NO_PICTURES, withTicks: true });
  // The arc itself, and a tick for each exposure.
  expect(/id="ticks" d="([^"]*)"/.exec(ticked)![1]!.match(/M/g)).toHaveLength(6);
  expect(scenesSvg(shot, [sceneOn(shot, 1)], { ...NO_PICTURES, ground: 'transparent' })).not.toContain(
    '<rect',
  );
  expect(scenesSvg(shot, [sceneOn(shot, 1)], { ...NO_PICTURES, ground: 'black', width: 960 })).toMatch(
    /width="960" height="540".*\n.*\n<rect[^>]*fill="#000000"/,
  );
});

describe('a slider', () => {
  const scaled = edits.setScale(shot, { unitsPerMm: 4 });

  test('is told where to be on every frame, in milliseconds and millimetres', () => {
    expect(writeSliderCsv(scaled, scaled.moves[0]!).split('\n').slice(0, 3)).toEqual([
      'frame,time_ms,position_mm,speed_mm_s',
      '1,0.000,0.0000,0.0000',
      '2,41.667,12.5000,300.0000',
    ]);
    expect(() => writeSliderCsv(shot, shot.moves[0]!)).toThrow('set the scale of the field first');
  });

  test('that would have to be faster than it can is told where', () => {
    const rows = sliderRows(scaled, scaled.moves[0]!);
    expect(sliderFaults(rows, { mostSpeed: 300, mostAcceleration: 8000 })).toEqual([]);
    expect(sliderFaults(rows, { mostSpeed: 250 }).map(({ frame }) => frame)).toEqual([
      2, 3, 4, 5, 6, 7, 8, 9,
    ]);
    expect(sliderFaults(rows, { mostAcceleration: 5000 })).toEqual([
      { frame: 2, of: 'acceleration', needed: expect.closeTo(7200, 6) as number, most: 5000 },
      // It stops from full speed within a frame.
      { frame: 9, of: 'acceleration', needed: expect.closeTo(7200, 6) as number, most: 5000 },
    ]);
    // What leaves slowly and stops at once needs more for its end than for its way.
    const easing = { kind: 'ramped', leaveFrames: 8, arriveFrames: 0, ramp: 'steady' } as const;
    const braking = edits.setEasing(scaled, { moveId, markId: scaled.moves[0]!.marks[0]!.id, easing });
    const [fault, ...others] = sliderFaults(sliderRows(braking, braking.moves[0]!), {
      mostAcceleration: 6000,
    });
    expect([fault?.frame, others]).toEqual([9, []]);
    expect(sliderNeeds(braking, braking.moves[0]!)).toContain(`${fault!.needed.toFixed(1)} mm/s²`);
  });
});
