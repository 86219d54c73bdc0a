import { straightShot } from '../testing/shapes';
import { sceneOn } from './scene';
import { blurredScenes } from './sceneBlur';

/** 20 units a frame. */
const shot = straightShot(400, 21);
const [first, second] = [sceneOn(shot, 1), sceneOn(shot, 2)];
const across = (scenes: ReturnType<typeof blurredScenes>): number[] =>
  scenes.map(([item]) => item!.placement.e);

test('a shutter that is half open sees half of the way, in steps that are short enough', () => {
  const scenes = blurredScenes(first, second, 0.5, 2);
  expect(scenes).toHaveLength(5);
  const [start] = across([first]);
  across(scenes).forEach((e, k) => expect(e - start!).toBeCloseTo(2.5 * k, 9));
});

test('closed, at the end, or where nothing moves it sees one moment', () => {
  expect(blurredScenes(first, second, 0, 2)).toEqual([first]);
  expect(blurredScenes(first, null, 0.5, 2)).toEqual([first]);
  expect(blurredScenes(first, first, 1, 2)).toEqual([first]);
  expect(blurredScenes(first, [], 1, 2)).toEqual([first]);
  expect(blurredScenes(first, second, 1, 0.01)).toHaveLength(32);
});
