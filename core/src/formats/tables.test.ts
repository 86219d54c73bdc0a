import { DEMO_SHOTS } from '../testing/demoShots';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { edits } from '../edits/edits';
import { readShotFile } from '../model/openShot';
import { straightShot, markAt, withMarks } from '../testing/shapes';
import { chartOf } from '../timing/easings/ticks';
import { secondsOfFrame } from '../timing/cues';
import { writeChartsCsv } from './chartsCsv';
import { writeCuesCsv } from './cuesCsv';
import { writeFilmPaceCsv } from './filmPaceCsv';
import { writeKeysCsv } from './keysCsv';
import { EXPORTERS } from './exporters';
import { picturesOf, readFilmZip, soundsOf } from './filmZip';
import { readCuesCsv } from './readCuesCsv';

const exporter = (flag: string) => EXPORTERS.find((one) => one.flag === flag)!;
const plain = () => straightShot(400, 41);
const demo = (name: string) => readShotFile(readFileSync(join(DEMO_SHOTS, `${name}.json`), 'utf8'));

test('spacing charts: two keys and the drawings between, span by span; a hold has none', () => {
  const shot = withMarks(
    straightShot(100, 9),
    markAt(1, 0, { easing: chartOf([0.1, 0.3, 0.6, 1]) }),
    markAt(5, 1),
    markAt(9, 1),
  );
  expect(writeChartsCsv(shot).split('\n')).toEqual([
    'move,figure,from,to,drawing,frame,percent',
    'move1,Figure 1,1,5,key,1,0',
    'move1,Figure 1,1,5,between,2,10',
    'move1,Figure 1,1,5,between,3,30',
    'move1,Figure 1,1,5,between,4,60',
    'move1,Figure 1,1,5,key,5,100',
    '',
  ]);
  const hidden = { ...shot, figures: shot.figures.map((figure) => ({ ...figure, hidden: true })) };
  expect(writeChartsCsv(hidden)).toBe('move,figure,from,to,drawing,frame,percent\n');
});

test('keys of all tracks, with their values and easings', () => {
  const turned = edits.setKey(plain(), { moveId: 'move1', track: 'turn', frame: 9, value: -30.5 });
  expect(writeKeysCsv(turned)).toBe(
    'move,figure,track,frame,value,easing\nmove1,Figure 1,turn,9,-30.5,even\n',
  );
  expect([plain(), turned].map(exporter('keys').isPossible)).toEqual([false, true]);
});

test('pace over a film, by shots one after the other', () => {
  const one = { lengthFrames: 2, rate: 4, paces: [0, 0.25] };
  const two = { lengthFrames: 1, rate: 1, paces: [0.5] };
  expect(
    writeFilmPaceCsv([
      { name: 'One', pace: one },
      { name: '=Two', pace: two },
    ]),
  ).toBe("shot,frame,seconds,percent\nOne,1,0,0\nOne,2,0.25,25\n'=Two,1,0.5,50\n");
});

test('cues come back as they went out, to the last digit, and words that look like formulas too', () => {
  const cues = [
    { seconds: secondsOfFrame(8, 24), word: 'thud' },
    { seconds: 1 / 3, word: '=1+1, “ah”' },
    { seconds: 2.5, word: '-' },
  ];
  const shot = edits.addCues(straightShot(400, 41), { cues });
  const text = writeCuesCsv(shot);
  expect(text.split('\n')[0]).toBe('seconds,frame,word');
  expect(text).toContain('"\'=1+1, “ah”"');
  expect(readCuesCsv(text, 24)).toEqual(shot.cues.map(({ seconds, word }) => ({ seconds, word })));
  expect([shot, plain()].map(exporter('cues').isPossible)).toEqual([true, false]);
});

test('a shot goes out as one file with its pictures and sound, and comes back whole', () => {
  const cork = demo('dropped-cork');
  const bytes = Uint8Array.from([1, 2, 3]);
  const files = new Map(
    [...picturesOf([cork]), ...soundsOf([cork])].map(({ sha256 }) => [sha256, bytes] as const),
  );
  expect(files.size).toBeGreaterThan(1);
  const zip = exporter('zip').write(cork, { files, moveId: null });
  const { name, shots, pictures, sounds } = readFilmZip(zip as Uint8Array);
  expect([name, shots]).toEqual([cork.film, [cork]]);
  expect(new Map([...pictures, ...sounds])).toEqual(files);
  expect(exporter('zip').isPossible(plain())).toBe(false);
  // The same bytes are the pictures of what moves by itself.
  const moving = exporter('moving-svg').write(cork, { files, moveId: null });
  expect(moving).toContain('base64,AQID');
});

test('a slider is for the move that is worked on, and says what it has to reach', () => {
  const cork = demo('crabs-detour');
  const { write, note } = exporter('slider');
  const says = note!(cork, { moveId: null });
  const speeds = String(write(cork, { files: new Map(), moveId: null }))
    .trimEnd()
    .split('\n')
    .slice(1)
    .map((line) => Math.abs(Number(line.split(',')[3])));
  expect(says).toMatch(/^Crab needs up to \d+\.\d mm\/s and \d+\.\d mm\/s²\.$/);
  expect(Number(/up to ([\d.]+)/.exec(says)![1])).toBeCloseTo(Math.max(...speeds), 1);
});
