import { ShotError } from './errors';
import { frameName, frameNumber, frameNumbered, numbered, readFrame, sentenceWith } from './frameNumbers';

test.each([
  ['45', 45],
  [' 45 f', 45],
  ['+12', 32],
  ['+ 12 frames', 32],
  ['-3', 17],
  ['−3', 17],
  ['1.5 s', 37],
  ['1,5s', 37],
  ['0 s', 1],
  ['+1 s', 44],
  ['-.5 sec', 8],
])('“%s” on frame 20 at 24 frames a second is frame %d', (text, frame) => {
  expect(readFrame(text, 20, 24)).toBe(frame);
});

test.each(['', 'x', '12 mm', '++3', '1.5.2', '--', 's', '9'.repeat(400)])('“%s” is no frame', (text) => {
  expect(readFrame(text, 20, 24)).toBeNull();
});

test('counted from 0 the number typed is one less than the frame; steps and seconds stay', () => {
  expect([frameNumber(1, 0), frameNumbered(0, 0)]).toEqual([0, 1]);
  expect(readFrame('45', 20, 24, 0)).toBe(46);
  expect(readFrame('+12', 20, 24, 0)).toBe(32);
  expect(readFrame('1.5 s', 20, 24, 0)).toBe(37);
});

test('a sentence names its frames as its reader counts them, also within another one', () => {
  const held = sentenceWith`Frame ${frameName(12)} has ${2} marks.`;
  const named = sentenceWith`In “${'Quay'}”: ${held}`;
  expect(numbered(named, 1)).toBe('In “Quay”: Frame 12 has 2 marks.');
  expect(numbered(named, 0)).toBe('In “Quay”: Frame 11 has 2 marks.');
  const error = new ShotError('out-of-range', named);
  expect([error.message, error.messageFrom(0)]).toEqual([numbered(named, 1), numbered(named, 0)]);
  expect(new ShotError('not-json', 'Plain 7.').messageFrom(0)).toBe('Plain 7.');
});
