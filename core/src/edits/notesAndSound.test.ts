import { cuesByFrame, frameOfSeconds, secondsOfFrame } from '../timing/cues';
import type { Shot } from '../model/schema';
import { straightShot } from '../testing/shapes';
import { edits } from './edits';

const noted = (from: number, until = from): Shot =>
  edits.addNote(straightShot(400, 41), { from, until, text: 'Blinks', figureId: null });
const rangeOf = ({ notes }: Shot): number[] => [notes[0]!.from, notes[0]!.until];

test('notes are on frames or ranges, in order, and say why they cannot be', () => {
  const two = edits.addNote(noted(9, 12), { from: 3, until: 3, text: ' Looks up ', figureId: 'figure1' });
  expect(two.notes.map(({ from, text }) => [from, text])).toEqual([
    [3, 'Looks up'],
    [9, 'Blinks'],
  ]);
  const changed = edits.changeNote(two, { noteId: two.notes[1]!.id, text: 'Nods' });
  expect(edits.removeNote(changed, { noteId: changed.notes[0]!.id }).notes).toMatchObject([{ text: 'Nods' }]);
  expect(() => edits.changeNote(two, { noteId: two.notes[1]!.id, until: 2 })).toThrow('to a later one');
  expect(() => edits.addNote(two, { from: 1, until: 1, text: ' ', figureId: null })).toThrow('1 to 500');
});

test('notes go along with the passage that they lie on, and with what follows it', () => {
  const all = { moveId: null, from: 11, until: 31 };
  expect(rangeOf(edits.stretchPassage(noted(16, 20), { ...all, frames: 40 }))).toEqual([21, 30]);
  expect(rangeOf(edits.stretchPassage(noted(35), { ...all, frames: 10 }))).toEqual([25, 25]);
  expect(rangeOf(edits.shiftPassage(noted(16, 20), { ...all, by: 3 }))).toEqual([19, 23]);
  expect(rangeOf(edits.insertTime(noted(16, 20), { moveId: null, frame: 18, frames: 4 }))).toEqual([16, 24]);
  expect(rangeOf(edits.reversePassage(noted(12, 14), all))).toEqual([28, 30]);
  expect(rangeOf(edits.goOutAndBack(noted(35), all))).toEqual([55, 55]);
  expect(rangeOf(edits.repeatPassage(noted(35), { ...all, times: 2 }))).toEqual([56, 56]);
  expect(rangeOf(edits.setRate(noted(13, 14), { rate: 12, keeps: 'seconds' }))).toEqual([7, 7]);
});

test('each copy of a passage has its notes, and they go the way that it is played', () => {
  const all = { moveId: null, from: 11, until: 31 };
  const ranges = ({ notes }: Shot): number[][] => notes.map(({ from, until }) => [from, until]);
  const twice = edits.addNote(noted(12, 14), { from: 31, until: 31, text: 'Turns', figureId: 'figure1' });
  expect(ranges(edits.goOutAndBack(twice, all))).toEqual([
    [12, 14],
    [31, 31],
    [48, 50],
  ]);
  // Not where it began: each round begins on the next frame.
  const thrice = edits.repeatPassage(twice, { ...all, times: 3 });
  expect(ranges(thrice)).toEqual([
    [12, 14],
    [31, 31],
    [33, 35],
    [52, 52],
    [54, 56],
    [73, 73],
  ]);
  expect(new Set(thrice.notes.map(({ id }) => id)).size).toBe(6);
  const mine = edits.repeatPassage(twice, { ...all, moveId: 'move1', times: 2 });
  expect(mine.notes.map(({ text }) => text)).toEqual(['Blinks', 'Turns', 'Turns']);
  const many = {
    ...twice,
    notes: Array.from({ length: 1_500 }, (_, i) => ({ ...twice.notes[0]!, id: `n${i}` })),
  };
  expect(() => edits.goOutAndBack(many, all)).toThrow('at most 2000 notes');
});

test('a figure’s own time takes its own notes along, and leaves those of the shot', () => {
  const mine = edits.addNote(noted(16), { from: 16, until: 16, text: 'Nods', figureId: 'figure1' });
  const moved = edits.shiftPassage(mine, { moveId: 'move1', from: 11, until: 31, by: 3 });
  expect(moved.notes.map(({ from, text }) => [from, text])).toEqual([
    [16, 'Blinks'],
    [19, 'Nods'],
  ]);
});

test('cues keep their seconds at every rate; each is on the frame whose start is nearest', () => {
  expect([0, 1, 2, 7, 24, 1000].map((k) => frameOfSeconds(secondsOfFrame(k + 1, 24), 24))).toEqual([
    1, 2, 3, 8, 25, 1001,
  ]);
  const heard = edits.addCues(straightShot(400, 41), {
    cues: [
      { seconds: 1, word: 'thud' },
      { seconds: 0.5, word: ' creak ' },
      { seconds: 0.51, word: 'ah' },
    ],
  });
  expect(heard.cues.map(({ word }) => word)).toEqual(['creak', 'ah', 'thud']);
  const words = ({ cues, rate }: Shot): [number, string][] =>
    [...cuesByFrame(cues, rate)].map(([frame, on]) => [frame, on.map(({ word }) => word).join(' ')]);
  expect(words(heard)).toEqual([
    [13, 'creak ah'],
    [25, 'thud'],
  ]);
  expect(words(edits.setRate(heard, { rate: 12 }))).toEqual([
    [7, 'creak ah'],
    [13, 'thud'],
  ]);
  const later = edits.changeCue(heard, { cueId: heard.cues[0]!.id, seconds: 2 });
  expect(later.cues.map(({ word }) => word)).toEqual(['ah', 'thud', 'creak']);
  expect(edits.removeCues(later, { cueIds: [later.cues[0]!.id] }).cues).toHaveLength(2);
  expect(edits.removeCues(later, {}).cues).toEqual([]);
  expect(() => edits.addCues(heard, { cues: [{ seconds: -1, word: 'a' }] })).toThrow('before 0 seconds');
});

test('a sound begins where some of it lies within the shot', () => {
  const sound = {
    sha256: 'a'.repeat(64),
    type: 'audio/wav',
    name: 'Bell',
    seconds: 4,
    startSeconds: 0,
  } as const;
  const shot = edits.setSound(straightShot(400, 41), { sound });
  expect(edits.moveSound(shot, { startSeconds: -3.5 }).sound!.startSeconds).toBe(-3.5);
  expect(() => edits.moveSound(shot, { startSeconds: -5 })).toThrow('be within the shot');
  expect(edits.setSound(shot, { sound: null }).sound).toBeNull();
});
