import { exposureFrames } from '../exposure/exposures';
import { applyEdit } from '../edits/edits';
import type { FramesHeld, Shot } from '../model/schema';
import { fc } from '../testing/property';
import { markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { CHECKS, type CheckName, type Finding, findingsOf } from '.';

const find = (shot: Shot, name: CheckName): readonly Finding[] =>
  findingsOf(name, { move: onlyMove(shot), arc: shot.arcs[0]!, shot }, 1);

const exposed = (shot: Shot, framesHeld: FramesHeld): Shot =>
  applyEdit(shot, { name: 'setFramesHeld', args: { moveId: onlyMove(shot).id, framesHeld } });

const framesOf = (shot: Shot): readonly number[] => exposureFrames(onlyMove(shot), shot.lengthFrames);

test('a plain move has no findings', () => {
  for (const name of Object.keys(CHECKS) as CheckName[])
    expect(find(straightShot(100, 21), name)).toEqual([]);
});

test('an arrival between exposures is found, and shown by the fix', () => {
  const late = { ...exposed(straightShot(100, 14), 2), lengthFrames: 20 };
  const [finding] = find(late, 'unseenArrival');
  expect(finding).toMatchObject({
    from: 14,
    until: 14,
    sentence: 'Frame 14 falls between exposures: the arrival is seen on frame 15.',
  });
  const mended = applyEdit(late, finding!.fix!.edit);
  expect(find(mended, 'unseenArrival')).toEqual([]);
  expect(framesOf(mended)).toEqual([1, 3, 5, 7, 9, 11, 13, 14]);
  const never = exposed(straightShot(100, 14), 2);
  expect(find(never, 'unseenArrival')[0]!.sentence).toMatch(/the shot ends: the arrival is never seen/);
});

test('a loop that is back at its start after the shot arrives unseen on purpose', () => {
  const shot = exposed(straightShot(100, 21), 2);
  const loop = { ...shot, arcs: [{ ...shot.arcs[0]!, closed: true }], lengthFrames: 20 };
  expect(find(loop, 'unseenArrival')).toEqual([]);
});

test('fixing a mark between exposures shows it, and every other exposure stays', () => {
  fc.assert(
    fc.property(
      fc.constantFrom<FramesHeld>(1, 2, 3),
      fc.integer({ min: 2, max: 39 }),
      (framesHeld, frame) => {
        const shot = exposed(
          withMarks(straightShot(100, 61), markAt(1, 0), markAt(frame, 0.4), markAt(61, 1)),
          framesHeld,
        );
        const before = framesOf(shot);
        const found = find(shot, 'unseenMark');
        expect(found).toHaveLength(before.includes(frame) ? 0 : 1);
        if (found.length === 0) return;
        const mended = applyEdit(shot, found[0]!.fix!.edit);
        expect(find(mended, 'unseenMark')).toEqual([]);
        expect(framesOf(mended)).toEqual([...before, frame].sort((a, b) => a - b));
      },
    ),
  );
});

test('a span that winds up where the arc begins waits at the end of the arc', () => {
  const windUp = { kind: 'wind-up', backFrames: 5, back: 0.1 } as const;
  const shot = straightShot(100, 21, windUp);
  expect(find(shot, 'pastTheEnd')).toMatchObject([{ from: 1, until: 21, fix: null }]);
  const loop = { ...shot, arcs: [{ ...shot.arcs[0]!, closed: true }] };
  expect(find(loop, 'pastTheEnd')).toEqual([]);
});
