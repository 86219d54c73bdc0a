import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { edits, evaluate } from '@humble/core';
import { readShotFile, writeShotFile } from '@humble/core/files';
import sharp from 'sharp';
import { COMMAND, CORK, cork, DEMO, run } from './testing';

const folder = mkdtempSync(join(tmpdir(), 'humble-files-'));
afterAll(() => rmSync(folder, { recursive: true }));

describe('render', () => {
  test('makes a PNG of each frame, with the figure where the evaluation has it', async () => {
    const out = join(folder, 'frames');
    const { status, stdout, stderr } = await run(
      'render',
      CORK,
      '--out',
      out,
      '--width',
      '480',
      '--no-backdrop',
      '--until',
      '12',
      '--ground',
      'black',
    );
    expect([status, stdout, stderr]).toEqual([
      0,
      `12 pictures in ${out}.\n`,
      expect.stringContaining('not in the folder'),
    ]);
    expect(readdirSync(out)).toEqual(
      Array.from({ length: 12 }, (_, i) => `frame-${String(i + 1).padStart(4, '0')}.png`),
    );
    const { pivotX, pivotY, shown } = evaluate(cork).travels[0]!;
    for (const frame of [1, 6, 12]) {
      const { data, info } = await sharp(join(out, `frame-${String(frame).padStart(4, '0')}.png`))
        .raw()
        .toBuffer({ resolveWithObject: true });
      let [sum, x, y] = [0, 0, 0];
      for (let i = 0; i < info.width * info.height; i++) {
        // On black the brass of the cork is what is bright.
        const light = data[i * info.channels]!;
        if (light < 60) continue;
        sum++;
        x += i % info.width;
        y += Math.floor(i / info.width);
      }
      expect([info.width, info.height, sum > 20]).toEqual([480, 270, true]);
      const at = shown[frame - 1]! - 1;
      // The middle of what is bright is a little off the pivot, and turns about it.
      expect(Math.hypot(x / sum - pivotX[at]! / 4, y / sum - pivotY[at]! / 4)).toBeLessThan(9);
    }
  });

  test('an open shutter blurs what moves, evenly between two frames, and nothing else', async () => {
    const [sharpFolder, blurred] = [join(folder, 'sharp'), join(folder, 'blurred')];
    const args = [
      '--width',
      '480',
      '--from',
      '4',
      '--until',
      '4',
      '--no-backdrop',
      '--ground',
      'transparent',
    ];
    await run('render', CORK, '--out', sharpFolder, ...args);
    await run('render', CORK, '--out', blurred, ...args, '--shutter', '360');
    /** How much there is of the cork, and where its middle is. */
    const weighed = async (path: string) => {
      const { data, info } = await sharp(join(path, 'frame-0004.png'))
        .raw()
        .toBuffer({ resolveWithObject: true });
      let [sum, x, y, covered] = [0, 0, 0, 0];
      for (let i = 0; i < data.length; i += 4) {
        const alpha = data[i + 3]!;
        const at = i / 4;
        [sum, covered] = [sum + alpha, covered + (alpha > 0 ? 1 : 0)];
        [x, y] = [x + alpha * (at % info.width), y + alpha * Math.floor(at / info.width)];
      }
      return { sum, x: x / sum, y: y / sum, covered };
    };
    const [still, open] = [await weighed(sharpFolder), await weighed(blurred)];
    expect(Math.abs(open.sum / still.sum - 1)).toBeLessThan(0.02);
    expect(open.covered / still.covered).toBeGreaterThan(1.15);
    // Its middle lies half way to where it is on the next frame.
    const { pivotX, pivotY, shown } = evaluate(cork).travels[0]!;
    const [from, to] = [shown[3]! - 1, shown[4]! - 1];
    expect(open.x - still.x).toBeCloseTo((pivotX[to]! - pivotX[from]!) / 8, 0);
    expect(open.y - still.y).toBeCloseTo((pivotY[to]! - pivotY[from]!) / 8, 0);
    expect((await run('render', CORK, '--out', blurred, '--shutter', '400')).stderr).toMatch(/at most 360/);
  });

  test('finds pictures by their content, and says what cannot be', async () => {
    const out = join(folder, 'set');
    const { status, stderr } = await run(
      'render',
      CORK,
      '--out',
      out,
      '--width',
      '192',
      '--from',
      '5',
      '--until',
      '5',
      '--pictures',
      join(DEMO, 'pictures'),
    );
    expect([status, stderr, readdirSync(out)]).toEqual([0, `Made the folder ${out}.\n`, ['frame-0005.png']]);
    const stats = await sharp(join(out, 'frame-0005.png')).stats();
    expect(stats.channels[2]!.stdev).toBeGreaterThan(10);
    expect((await run('render', CORK)).stderr).toBe('Say where the pictures go: --out FOLDER.\n');
    expect((await run('render', CORK, '--out', out, '--ground', 'pink')).stderr).toMatch(
      /^--ground is one of/,
    );
    expect((await run('render', CORK, '--out', out, '--until', '99')).stderr).toMatch(/frames 1 to 48/);
    expect((await run('render', CORK, '--out', out, '--width', 'wide')).stderr).toMatch(
      /^--width is a number/,
    );
    expect((await run('render', CORK, '--out', join(CORK, 'x'))).status).toBe(1);
  });
});

describe('a folder with pictures of another render', () => {
  const out = join(folder, 'reused');
  const short = join(folder, 'short.json');
  writeFileSync(short, writeShotFile(edits.setLength(cork, { lengthFrames: 6, moves: 'follow' })));
  const args = ['--width', '64', '--no-backdrop'];
  const pictures = () => readdirSync(out).filter((name) => name.endsWith('.png'));

  test('is refused by a sentence, and nothing in it changes; with --replace it is this render’s alone', async () => {
    await run('render', CORK, '--out', out, ...args, '--until', '9');
    writeFileSync(join(out, 'notes.txt'), 'mine');
    const before = readFileSync(join(out, 'frame-0001.png'));
    const refused = await run('render', short, '--out', out, ...args);
    expect([refused.status, refused.stderr]).toEqual([
      1,
      `${out} has pictures of another render, such as frame-0007.png: take another folder, or say --replace to have them removed.\n`,
    ]);
    expect([pictures().length, readFileSync(join(out, 'frame-0001.png'))]).toEqual([9, before]);
    expect((await run('render', short, '--out', out, ...args, '--replace')).status).toBe(0);
    expect(pictures()).toHaveLength(6);
    expect(readFileSync(join(out, 'notes.txt'), 'utf8')).toBe('mine');
  });

  test('some frames of the same shot are made anew beside the others', async () => {
    const some = await run('render', short, '--out', out, ...args, '--from', '2', '--until', '3');
    expect([some.status, pictures().length]).toEqual([0, 6]);
  });
});

describe('pack and unpack', () => {
  const film = join(folder, 'film.zip');

  test('shots, pictures and sounds go into one film and come out as they were', async () => {
    const packing = await run(
      'pack',
      CORK,
      join(DEMO, 'shots/lantern-on-the-hook.json'),
      '--out',
      film,
      '--pictures',
      join(DEMO, 'pictures'),
      '--sounds',
      join(DEMO, 'sounds'),
    );
    expect(packing).toEqual({ status: 0, stdout: `${film}: 2 shots.\n`, stderr: '' });
    const out = join(folder, 'unpacked');
    expect(await run('unpack', film, '--out', out)).toMatchObject({
      status: 0,
      stdout: `film.zip: 2 shots in ${out}.\n`,
    });
    expect(readdirSync(join(out, 'shots'))).toEqual(['01-dropped-cork.json', '02-lantern-on-the-hook.json']);
    expect(readShotFile(readFileSync(join(out, 'shots/01-dropped-cork.json'), 'utf8'))).toEqual(cork);
    const [sound] = readdirSync(join(out, 'sounds'));
    const bytes = readFileSync(join(out, 'sounds', sound!));
    expect(`${createHash('sha256').update(bytes).digest('hex')}.wav`).toBe(sound);
  });

  test('a shot with its files inside is read like any other, and its pictures are seen', async () => {
    const whole = join(folder, 'cork.zip');
    const args = ['--pictures', join(DEMO, 'pictures'), '--sounds', join(DEMO, 'sounds')];
    expect(await run('convert', CORK, '--zip', ...args, '--out', whole)).toMatchObject({
      status: 0,
      stderr: '',
    });
    const json = await run('convert', whole, '--json');
    expect(readShotFile(json.stdout)).toEqual(cork);
    expect(await run('convert', whole, '--moving-svg')).toMatchObject({ stderr: '' });
    const out = join(folder, 'from-zip');
    expect(await run('render', whole, '--out', out, '--until', '1', '--width', '96')).toMatchObject({
      status: 0,
      stderr: `Made the folder ${out}.\n`,
    });
    const piped = spawnSync(process.execPath, [COMMAND, 'check-file', '-'], { input: readFileSync(whole) });
    expect(String(piped.stdout)).toContain('a sound shot');
    expect(await run('sample', film, '--csv')).toMatchObject({
      status: 1,
      stderr: `${film} is a film of 2 shots: unpack it, and take one of them.\n`,
    });
  });

  test('what is missing is said; what is no film writes nothing', async () => {
    expect((await run('pack', CORK, '--out', join(folder, 'bare.zip'))).stderr).toBe(
      'The film is without harbour.svg, knocks.wav: look for them with --pictures and --sounds.\n',
    );
    const broken = join(folder, 'broken.zip');
    writeFileSync(broken, readFileSync(film).subarray(0, 900));
    const out = join(folder, 'nothing');
    expect(await run('unpack', broken, '--out', out)).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('cannot be read') as string,
    });
    expect(existsSync(out)).toBe(false);
  });
});

test('a shot comes from standard input, and goes to a file as a whole', async () => {
  const piped = spawnSync(process.execPath, [COMMAND, 'convert', '-', '--moving-svg'], {
    input: readFileSync(CORK),
    encoding: 'utf8',
  });
  expect([piped.status, piped.stdout.slice(0, 4)]).toEqual([0, '<svg']);
  const out = join(folder, 'cork.json');
  expect(await run('convert', CORK, '--lottie', '--out', out)).toEqual({
    status: 0,
    stdout: '',
    stderr: expect.stringMatching(/^1 picture is not in the folder/) as string,
  });
  expect(JSON.parse(readFileSync(out, 'utf8'))).toMatchObject({ fr: 24, op: 48 });
  mkdirSync(join(folder, 'taken'));
  expect((await run('convert', CORK, '--csv', '--out', join(folder, 'taken'))).stderr).toMatch(
    /cannot be written: it is a folder\.$/m,
  );
  expect(readdirSync(folder)).not.toContain('taken.half');
});

test('a strobe picture is of every n-th exposure, with ticks over it', async () => {
  const figures = async (...args: string[]): Promise<number> =>
    (await run('convert', CORK, '--strobe', ...args)).stdout.match(/<g transform/g)!.length;
  expect(await figures('--every', '4')).toBe(Math.ceil((await figures()) / 4));
  expect((await run('convert', CORK, '--strobe', '--ticks')).stdout).toContain('id="ticks"');
  expect((await run('convert', CORK, '--strobe', '--every', '0')).stderr).toMatch(/at least 1/);
});

test('a slider is told where it would have to be faster, and the exit code says so', async () => {
  const calm = await run('convert', CORK, '--slider');
  expect([calm.status, calm.stdout.split('\n')[0]]).toEqual([0, 'frame,time_ms,position_mm,speed_mm_s']);
  const fast = await run('convert', CORK, '--slider', '--max-speed', '300');
  expect([fast.status, fast.stderr]).toEqual([
    2,
    expect.stringMatching(
      /^On \d+ frames it is too fast for the slider\. The first is frame \d+: its speed is \d+\.\d mm\/s, and 300 is the most\.\n$/,
    ),
  ]);
});

test('very many pages are only made when their number is said', async () => {
  const long = join(folder, 'long.json');
  writeFileSync(long, writeShotFile(edits.setLength(cork, { lengthFrames: 4000, moves: 'follow' })));
  const out = join(folder, 'long.pdf');
  const refused = await run('print', long, '--print', 'sheet', '--out', out);
  const pages = /^That makes (\d+) pages\. If you want all of them, say --pages \1\.\n$/.exec(
    refused.stderr,
  )?.[1];
  expect([refused.status, Number(pages) > 60, existsSync(out)]).toEqual([1, true, false]);
  const made = await run('print', long, '--print', 'sheet', '--out', out, '--pages', pages!);
  expect(made.stdout).toBe(`${out}: ${pages} pages of A4.\n`);
});

test('print writes a PDF at true scale, a sheet at a time', async () => {
  const out = join(folder, 'track.pdf');
  expect(await run('print', CORK, '--out', out)).toEqual({
    status: 0,
    // The cork falls across the page: lying across it needs one, upright two.
    stdout: `${out}: 1 page of A4.\n`,
    stderr: '',
  });
  expect(readFileSync(out).subarray(0, 5).toString()).toBe('%PDF-');
  const table = await run('print', CORK, '--out', out, '--print', 'table', '--paper', 'letter', '--across');
  expect(table.stdout).toMatch(/: \d pages? of Letter\.$/m);
  expect((await run('print', CORK, '--out', out, '--upright')).stdout).toBe(`${out}: 2 pages of A4.\n`);
  expect((await run('print', CORK, '--out', out, '--upright', '--across')).stderr).toMatch(/^Choose one of/);
  expect((await run('print', CORK)).stderr).toBe('Say what the PDF is to be called: --out FILE.pdf.\n');
  expect((await run('print', CORK, '--out', out, '--print', 'poster')).stderr).toMatch(
    /^--print is one of track/,
  );
});
