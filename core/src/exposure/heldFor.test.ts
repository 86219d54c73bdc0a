import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { fc } from '../testing/property';
import { onlyMove, straightShot } from '../testing/shapes';
import { exposedFrames } from './exposures';

const moveId = 'move1';
const begins = (shot: Shot): number[] => exposedFrames(onlyMove(shot), shot.lengthFrames);
const onTwos = edits.setFramesHeld(straightShot(400, 13), { moveId, framesHeld: 2 });

test('a picture is held longer or shorter, its neighbour gives way, the others stay', () => {
  expect(begins(onTwos)).toEqual([1, 3, 5, 7, 9, 11, 13]);
  const held = (frame: number, frames: number): number[] =>
    begins(edits.holdPicture(onTwos, { moveId, frame, frames }));
  expect(held(5, 3)).toEqual([1, 3, 5, 8, 9, 11, 13]);
  expect(held(5, 1)).toEqual([1, 3, 5, 6, 9, 11, 13]);
  expect(held(5, 4)).toEqual([1, 3, 5, 9, 11, 13]);
  expect(held(3, 7)).toEqual([1, 3, 10, 11, 13]);
  // There is none to be seen between: a single range of threes is enough.
  expect(onlyMove(edits.holdPicture(onTwos, { moveId, frame: 5, frames: 3 })).exposures).toEqual([
    { from: 5, until: 7, framesHeld: 3 },
    { from: 8, until: 8, framesHeld: 1 },
  ]);
  expect(() => held(4, 2)).toThrow('No exposure begins on frame 4.');
  expect(() => held(13, 2)).toThrow('held to the end');
  expect(() => held(3, 0)).toThrow('for at least one frame');
});

test('whatever was held before, what was asked for comes out', () => {
  const ask = fc.record({ frame: fc.integer({ min: 1, max: 40 }), frames: fc.integer({ min: 1, max: 9 }) });
  fc.assert(
    fc.property(fc.constantFrom(1 as const, 2 as const, 3 as const), fc.array(ask), (framesHeld, asks) => {
      let shot = edits.setFramesHeld(straightShot(400, 41), { moveId, framesHeld });
      for (const { frame, frames } of asks) {
        const before = begins(shot);
        const i = before.indexOf(frame);
        if (i < 0 || i === before.length - 1 || frame + frames > 41) continue;
        shot = edits.holdPicture(shot, { moveId, frame, frames });
        const end = frame + frames;
        const next = before[i + 1]!;
        const kept = before.filter(
          (f) => f <= frame || (end < next ? f > next || next === before.at(-1) : f >= end),
        );
        const wanted = new Set([...kept, end]);
        expect(new Set(begins(shot).filter((f) => f < 41))).toEqual(
          new Set([...wanted].filter((f) => f < 41)),
        );
      }
    }),
  );
});
