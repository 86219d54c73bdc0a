import { edits, freshShot, type Shot } from '@humble/core';
import { artworkStepText } from './PanStepLine';

const picture = { sha256: 'b'.repeat(64), type: 'image/png', name: 'Sky', width: 100, height: 60 } as const;

/** Evenly 400 to the right in four steps. */
function panned(): Shot {
  const empty = freshShot({ name: 'Pan', rate: 24, lengthFrames: 5, width: 1920, height: 1080 });
  const framed = edits.addCamera(empty);
  const { id: moveId } = framed.moves[0]!;
  const posed = edits.pose(framed, { moveId, frame: 5, to: { x: 1360, y: 540 }, path: 'straight' });
  const { id: markId } = posed.moves[0]!.marks[0]!;
  return edits.setEasing(posed, { moveId, markId, easing: { kind: 'even' } });
}

test('the artwork goes the other way, a plane twice as far half of it', () => {
  const shot = edits.addPlane(panned(), { pictures: [picture], distance: 2, name: 'Sky' });
  expect(artworkStepText(shot, shot.moves[0]!.id, 3)).toBe('Or move the artwork: W 100; Sky: W 50');
});

test('nothing stands there for the first picture, for another frame, and for what is no camera', () => {
  const shot = panned();
  const { id } = shot.moves[0]!;
  expect(artworkStepText(shot, id, 1)).toBeNull();
  expect(artworkStepText(shot, id, 6)).toBeNull();
  expect(artworkStepText(shot, 'another', 3)).toBeNull();
});
