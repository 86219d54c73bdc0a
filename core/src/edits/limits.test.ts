import { takenSteps } from '../checks/takenSteps';
import { MAX_SHOT_FRAMES, MAX_TAKES } from '../model/limits';
import type { Shot } from '../model/schema';
import { arcOf, corner, shotAlong } from '../testing/shapes';
import { edits } from './edits';

const shot = shotAlong(arcOf([corner(0, 0), corner(120, 0)]), 21, { kind: 'even' });
const picture = { sha256: 'ab'.repeat(32), type: 'image/png', name: 'a.png', width: 4, height: 3 } as const;
const taken = (count: number): Shot =>
  Array.from({ length: count }).reduce<Shot>((now) => edits.takePicture(now, { picture }), shot);

test('a fresh take is called by the first number from its own on that is free', () => {
  const names = (one: Shot): string[] => one.takes.map(({ name }) => name);
  const third = edits.addTake(edits.renameTake(shot, { takeId: 'take1', name: 'Take 3' }), {});
  expect(names(third)).toEqual(['Take 3', 'Take 2']);
  expect(names(edits.addTake(third, {}))).toEqual(['Take 3', 'Take 2', 'Take 4']);
});

test('a note may stand on the frame after the last one that a shot can have, and on no later one', () => {
  const note = { from: 1, text: 'slow', figureId: null };
  expect(edits.addNote(shot, { ...note, until: MAX_SHOT_FRAMES + 1 }).notes).toHaveLength(1);
  expect(() => edits.addNote(shot, { ...note, until: MAX_SHOT_FRAMES + 2 })).toThrow(
    'A note is about a frame',
  );
});

test('a cue may be heard at the very beginning, and not before', () => {
  expect(edits.addCues(shot, { cues: [{ seconds: 0, word: 'knock' }] }).cues).toHaveLength(1);
  expect(() => edits.addCues(shot, { cues: [{ seconds: -0.01, word: 'knock' }] })).toThrow(
    'before 0 seconds',
  );
});

test('where a shot has all its takes the plan cannot be kept, which is said; nothing is replanned', () => {
  const replanned = (one: Shot): Shot => {
    const takenId = one.shoot.pictures[1]!.id;
    const told = edits.setActual(one, { takenId, moveId: 'move1', x: 9, y: 0 });
    return edits.replan(told, { takenId, moveId: 'move1', way: { by: 'spread' } });
  };
  // Pictures belong to the take in which they were taken: the last one added is the current one.
  const full = (count: number): Shot => {
    const others = Array.from({ length: count - 1 }).reduce<Shot>((now) => edits.addTake(now, {}), shot);
    return [1, 2].reduce<Shot>((now) => edits.takePicture(now, { picture }), others);
  };
  expect(() => replanned(full(MAX_TAKES))).toThrow(`A shot has at most ${MAX_TAKES} takes`);
  expect(replanned(full(MAX_TAKES - 1)).takes.at(-1)!.name).toBe('As planned');
});

test('a step between two pictures is as long as where it stood says, and was planned from where it was to stand', () => {
  const [one, two] = taken(2).shoot.pictures;
  const stood = edits.setActual(
    edits.setActual(taken(2), { takenId: one!.id, moveId: 'move1', x: 1, y: 0 }),
    { takenId: two!.id, moveId: 'move1', x: 9, y: 0 },
  );
  const [step] = takenSteps(stood, 'move1');
  expect(step).toMatchObject({ from: 1, frame: 2, length: 8 });
  expect(step!.planned).toBeCloseTo(6, 6);
});

test('a passage that is repeated takes along the notes of its own figure, by what its own move grew', () => {
  const long = edits.setLength(shot, { lengthFrames: 100, moves: 'keep' });
  const second = edits.drawArc(long, { points: long.arcs[0]!.points });
  const [mine, other] = second.moves;
  const short = edits.setMoveFrames(second, { moveId: mine!.id, first: 1, last: 11 });
  const noted = [mine!, other!].reduce<Shot>(
    (now, { figureId }) => edits.addNote(now, { from: 20, until: 20, text: 'here', figureId }),
    short,
  );
  const twice = edits.repeatPassage(noted, { moveId: mine!.id, from: 1, until: 11, times: 2 });
  expect(twice.moves[0]!.marks.at(-1)!.frame).toBe(22);
  expect(twice.notes.map(({ figureId, from }) => [figureId, from])).toEqual([
    [other!.figureId, 20],
    [mine!.figureId, 31],
  ]);
});

test('a kept take goes on timing a figure that leaves its arc, tied to no point of it any more', () => {
  const markId = shot.moves[0]!.marks[1]!.id;
  const tied = edits.tieMark(shot, { moveId: 'move1', markId, pointId: 'p2' });
  const second = edits.addTake(tied, {});
  const left = edits.detachFigure(second, { figureId: 'figure1', frame: 1 });
  const kept = left.takes.find((take) => take.kept)!.kept!;
  expect(kept.timings).toHaveLength(1);
  expect(kept.timings[0]!.marks.map(({ pointId }) => pointId)).toEqual([null, null]);
  // And what does not touch it leaves it the same object.
  expect(edits.renameShot(second, { name: 'Pier' }).takes).toBe(second.takes);
});
