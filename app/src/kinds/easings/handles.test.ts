import type { Easing } from '@humble/core';
import { describeEasing, type SpanPlace } from '.';

describe('handles of an easing', () => {
  const easingHandles = (easing: Easing, frames: number) =>
    describeEasing(easing.kind).handles?.(easing, frames) ?? [];
  const withEasingHandle = (easing: Easing, id: string, to: SpanPlace, frames: number) =>
    describeEasing(easing.kind).dragged!(easing, id, to, frames);
  const where = (easing: Easing) =>
    easingHandles(easing, 20).map(({ x, share }) => [x, Math.round(share * 1000) / 1000]);

  test('lie where they stand for something', () => {
    expect(where({ kind: 'curve', x1: 0.4, y1: 0, x2: 0.6, y2: 1.2 })).toEqual([
      [8, 0],
      [12, 1.2],
    ]);
    // 6 frames at half of 1/14 a frame are 3/14 of the way.
    expect(where({ kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' })).toEqual([
      [6, 0.214],
      [14, 0.786],
    ]);
    expect(where({ kind: 'settle', overshoot: 0.3, swings: 3 })).toEqual([[5, 1.3]]);
    expect(where({ kind: 'even' })).toEqual([]);
  });

  test('dragged they change their number, and no further than it goes', () => {
    const ramp: Easing = { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' };
    expect(withEasingHandle(ramp, 'leave', { x: 9.6, share: 0 }, 20)).toMatchObject({ leaveFrames: 10 });
    expect(withEasingHandle(ramp, 'leave', { x: 19, share: 0 }, 20)).toMatchObject({ leaveFrames: 14 });
    expect(withEasingHandle(ramp, 'arrive', { x: 11, share: 0 }, 20)).toMatchObject({ arriveFrames: 9 });
    const curve: Easing = { kind: 'curve', x1: 0.4, y1: 0, x2: 0.6, y2: 1 };
    expect(withEasingHandle(curve, 'first', { x: -4, share: 0.333 }, 20)).toMatchObject({ x1: 0, y1: 0.33 });
    const bounce: Easing = { kind: 'bounce', count: 3, restitution: 0.6 };
    expect(withEasingHandle(bounce, 'hop', { x: 0, share: 0.75 }, 20)).toMatchObject({ restitution: 0.5 });
  });

  test('of what winds up the knob is where it turns, and is dragged in both directions', () => {
    const windUp: Easing = { kind: 'wind-up', backFrames: 5, back: 0.1 };
    expect(where(windUp)).toEqual([[5, -0.1]]);
    expect(withEasingHandle(windUp, 'back', { x: 7.4, share: -0.25 }, 20)).toMatchObject({
      backFrames: 7,
      back: 0.25,
    });
    expect(withEasingHandle(windUp, 'back', { x: 40, share: 0.3 }, 20)).toMatchObject({ back: 0 });
  });

  test('of the slowest place the knob is there', () => {
    const [knob] = easingHandles({ kind: 'slow-place', at: 0.5, strength: 0.6 }, 20);
    expect(knob!.x).toBeCloseTo(10, 0);
    expect(knob!.share).toBeCloseTo(0.5, 1);
  });
});
