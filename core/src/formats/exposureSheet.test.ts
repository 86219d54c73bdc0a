import { edits } from '../edits/edits';
import { exposureSheet } from '../spacing/exposureSheet';
import { markAt, straightShot, withMarks } from '../testing/shapes';
import { writeExposureSheetCsv } from './exposureSheetCsv';
import { readCuesCsv } from './readCuesCsv';

const moveId = 'move1';

function sheetShot() {
  const timed = withMarks(straightShot(90, 10), markAt(2, 0, { label: 'key' }), markAt(8, 1));
  const held = edits.setFramesHeld(timed, { moveId, framesHeld: 2 });
  const noted = edits.addNote(held, { from: 4, until: 6, text: '=blinks', figureId: null });
  const mine = edits.addNote(noted, { from: 8, until: 8, text: 'Rests', figureId: 'figure1' });
  return edits.addCues(mine, { cues: [{ seconds: 3 / 24, word: 'thud' }] });
}

test('a row for each frame: pictures with a stroke through their holds, marks, increments, notes, what is heard', () => {
  const figure = sheetShot().figures[0]!.name;
  expect(writeExposureSheetCsv(sheetShot()).trimEnd().split('\n')).toEqual([
    `frame,seconds,heard,${figure} picture,${figure} mark,${figure} increment,${figure} note,note,units,take`,
    '1,0,,x,,,,,field,Take 1',
    '2,0.041667,,x,stop: key,0,,,field,Take 1',
    '3,0.083333,,|,,,,,field,Take 1',
    "4,0.125,thud,x,,30,,'=blinks (to 6),field,Take 1",
    '5,0.166667,,|,,,,,field,Take 1',
    '6,0.208333,,x,,30,,,field,Take 1',
    '7,0.25,,|,,,,,field,Take 1',
    '8,0.291667,,x,stop,30,Rests,,field,Take 1',
    '9,0.333333,,|,,,,,field,Take 1',
    '10,0.375,,|,,,,,field,Take 1',
  ]);
});

test('cells know their picture, so that it can be dragged longer; columns can be picked, hidden ones are left out', () => {
  const { columns, notes } = exposureSheet(sheetShot());
  expect(columns[0]!.cells[4]).toMatchObject({ shows: 'held', begins: 4, framesHeld: 2 });
  expect([...notes.keys()]).toEqual([4, 5, 6, 8]);
  const hidden = edits.setFigure(sheetShot(), { figureId: 'figure1', hidden: true });
  expect(exposureSheet(hidden).columns).toEqual([]);
  expect(exposureSheet(hidden, [moveId]).columns).toHaveLength(1);
});

describe('a list of cues', () => {
  test('is read by frames or by seconds, with commas or semicolons', () => {
    expect(readCuesCsv('frame,word\n1,creak\n13,thud\n', 24)).toEqual([
      { seconds: 0, word: 'creak' },
      { seconds: 0.5, word: 'thud' },
    ]);
    expect(readCuesCsv('Seconds;Word\n0,5;thud\n1,5;creak\n', 24)).toMatchObject([
      { seconds: 0.5 },
      { seconds: 1.5 },
    ]);
    // Its own sheet reads back.
    expect(readCuesCsv(writeExposureSheetCsv(sheetShot()), 24)).toEqual([{ seconds: 0.125, word: 'thud' }]);
  });

  test.each([
    ['time,word\n1,a\n', 'has a column “frame” or “seconds”'],
    ['frame,word\n,a\n', 'Line 2: frame is empty.'],
    ['frame,word\nx,a\n', 'Line 2: frame is “x”'],
    ['frame,word\n3,\n', 'Line 2: there is no word.'],
    ['frame,word\n-3,a\n', 'lies outside any shot'],
    ['frame,word\n', 'There are no cues'],
    ['', 'This table is empty'],
  ])('that is broken says where: %j', (text, sentence) => {
    expect(() => readCuesCsv(text, 24)).toThrow(sentence);
  });
});
