import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { edits, evaluate, freshShot, type Shot, slips, strideOf } from '@humble/core';
import { readShotFile, writeShotFile } from '@humble/core/files';
import { COMMAND, run } from './testing';

const folder = mkdtempSync(join(tmpdir(), 'humble-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

const still = { x: 0, y: 0 };
const drawn = edits.drawArc(
  freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 }),
  {
    points: [
      { x: 0, y: 0, in: still, out: still, kind: 'corner' },
      { x: 120, y: 0, in: still, out: still, kind: 'corner' },
    ],
  },
);
const shot: Shot = edits.setEasing(drawn, {
  moveId: 'move1',
  markId: 'm1',
  easing: { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' },
});

function fileOf(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

const good = fileOf('quay.json', writeShotFile(edits.setSheet(shot, { rulerStep: 0.5 })));

test('the command runs as it stands in the checkout, and its exit code tells a mistake', async () => {
  const start = (...args: string[]) => spawnSync(process.execPath, [COMMAND, ...args], { encoding: 'utf8' });
  const { stdout, stderr, status } = start('sample', good, '--csv');
  expect({ stdout, stderr, status }).toEqual(await run('sample', good, '--csv'));
  expect(status).toBe(0);
  expect(start('sample').status).toBe(1);
});

test('sample --csv prints a header and one line for each exposure, with the published numbers', async () => {
  const [header, ...lines] = (await run('sample', good, '--csv')).stdout
    .trimEnd()
    .split('\n')
    .map((line) => line.split(','));
  expect(lines).toHaveLength(21);
  const column = (name: string) => lines.map((cells) => Number(cells[header!.indexOf(name)]));
  [0, 0.714, 2.857, 6.429, 11.429, 17.857, 25.714, 34.286].forEach((place, i) =>
    expect(column('place')[i]).toBeCloseTo(place, 3),
  );
  expect(column('ruler').slice(1, 8)).toEqual([0.5, 2.5, 3.5, 5, 6.5, 7.5, 9]);
  expect(column('ruler_total').at(-1)).toBe(120);
});

test('sample --json carries the same rows', async () => {
  const { moves } = JSON.parse((await run('sample', good, '--json')).stdout);
  expect(moves).toHaveLength(1);
  expect(moves[0]).toMatchObject({
    move: 'move1',
    figure: 'Figure 1',
    units: 'field',
    rulerStep: 0.5,
    arcLength: 120,
  });
  expect(moves[0].rows[6].place).toBeCloseTo(25.714, 3);
});

test('chart --svg draws the ladder of a span: the keys, and each drawing between at its place', async () => {
  const charted = edits.makeChart(edits.setLength(shot, { lengthFrames: 5 }), {
    moveId: 'move1',
    markId: 'm1',
    chart: { kind: 'halves', toward: 'end' },
  });
  const { stdout, status } = await run('chart', fileOf('chart.json', writeShotFile(charted)), '--svg');
  expect(status).toBe(0);
  expect(stdout).toMatch(/^<svg [^>]*width="240" height="240"/);
  expect(stdout).toContain('<title>Quay, frames 1 to 5</title>');
  // 160 long from 40 on: a half, three quarters and seven eighths of it.
  for (const y of [40, 120, 160, 180, 200]) expect(stdout).toMatch(new RegExp(`<path d="M(84|95) ${y}h`));
  expect(stdout).toMatch(/>2<\/text>\s*<text[^>]*>50 %</);
  expect(stdout).toMatch(/>4<\/text>\s*<text[^>]*>87.5 %</);
});

test('a table of increments is read as a shot', async () => {
  const path = fileOf('walk.csv', (await run('sample', good, '--csv')).stdout);
  const read = JSON.parse((await run('convert', path, '--json')).stdout);
  expect(read).toMatchObject({ name: 'walk', rate: 12, lengthFrames: 21 });
  expect((await run('check-file', path)).stderr).toMatch(/^A table holds no artwork, backdrop or sound/);
  expect(read.moves).toHaveLength(1);
});

test('figures come out as they stand: as a layer of the drawing, and as rows of the table', async () => {
  const { stdout: svg } = await run('convert', good, '--svg');
  expect(svg).toMatch('<g id="figures"');
  expect(svg.match(/<use href="#look1"/g)).toHaveLength(21);
  const { moves } = JSON.parse((await run('sample', good, '--json')).stdout);
  expect(moves[0].rows[0]).toMatchObject({ pivotX: moves[0].rows[0].x, drawing: 1, tracks: { offsetX: 0 } });
});

describe('takes', () => {
  const slower = edits.stretchPassage(edits.addTake(shot, { name: 'Slower' }), {
    moveId: null,
    from: 1,
    until: 21,
    frames: 40,
  });
  const file = fileOf('takes.json', writeShotFile(slower));

  test('sample names the take, and reads another one with --take', async () => {
    const sample = async (...more: string[]) =>
      JSON.parse((await run('sample', file, '--json', ...more)).stdout) as {
        take: string;
        lengthFrames: number;
      };
    expect(await sample()).toMatchObject({ take: 'Slower', lengthFrames: 41 });
    expect(await sample('--take', 'Take 1')).toMatchObject({ take: 'Take 1', lengthFrames: 21 });
    expect((await run('sample', file, '--csv', '--take', 'take1')).stdout).toEqual(
      expect.stringMatching(/,field,Take 1,12\n$/),
    );
    expect(await run('sample', file, '--take', 'Quick')).toMatchObject({
      status: 1,
      stderr: 'There is no take “Quick” in this shot. It has “Take 1”, “Slower”.\n',
    });
  });

  test('sheet --csv has a line for each frame of the take', async () => {
    expect((await run('sheet', file, '--csv')).stdout.trimEnd().split('\n')).toHaveLength(42);
    expect((await run('sheet', file, '--csv', '--take', 'Take 1')).stdout.trimEnd().split('\n')).toHaveLength(
      22,
    );
    expect((await run('sheet', file)).stderr).toBe(
      'An exposure sheet is a table: say sheet SHOT.json --csv.\n',
    );
  });
});

test('check leaves out what was let be', async () => {
  const moved = edits.putByHand(shot, { moveId: 'move1', frame: 10, dx: 0, dy: 20 });
  const off = edits.setThresholds(moved, { handUnits: 0, changeShare: 100, turnDeg: 360 });
  const loud = await run('check', fileOf('loud.json', writeShotFile(off)));
  expect(loud).toMatchObject({ status: 2, stdout: expect.stringContaining('placed by hand') as string });
  const quiet = edits.letBe(off, { moveId: 'move1', check: 'offTheArc', frame: 10 });
  expect(await run('check', fileOf('quiet.json', writeShotFile(quiet)))).toMatchObject({ status: 0 });
});

test('check tells what an animator may not have meant, and its exit code says so', async () => {
  const demo = join(__dirname, '../../demo/shots');
  const found = async (name: string): Promise<readonly string[]> => {
    const { status, stdout } = await run('check', join(demo, name), '--json');
    expect(status).toBe(2);
    return (JSON.parse(stdout) as { findings: { check: string }[] }).findings.map(({ check }) => check);
  };
  // The demo film is clean but for one thing in each shot that is there to be found.
  const all: Record<string, readonly string[]> = {};
  for (const name of readdirSync(demo)) all[name] = await found(name);
  expect(all).toEqual({
    'crabs-detour.json': ['offTheArc'],
    'dropped-cork.json': ['unseenMark'],
    'eel-under-the-jetty.json': ['tooSmall'],
    'lantern-on-the-hook.json': ['tooSmall'],
    'rounds-of-the-harbour-master.json': ['takenJump', 'takenJump', 'unseenArrival'],
    'rowing-to-the-steps.json': ['unseenMark'],
    'under-the-jetty-at-dusk.json': ['quickPan'],
  });
  expect((await run('check', join(demo, 'dropped-cork.json'))).stdout).toMatch(
    /^Cork: The mark on frame 27 falls between exposures and is not seen\. \(a mistake\) \[/,
  );
});

test('the rower of the demo: no blade that is planted slips by 2 % of the stride', async () => {
  const file = readFileSync(join(__dirname, '../../demo/shots/rowing-to-the-steps.json'), 'utf8');
  const travel = evaluate(readShotFile(file)).travels[0]!;
  const { largest, rows } = slips(travel);
  expect(rows.filter(({ slip }) => slip !== null).length).toBeGreaterThan(50);
  expect(travel.move.cycle!.by).toBe('way');
  expect(largest / strideOf(travel)!.advance).toBeLessThan(0.02);
});

test('check-file says what the shot is', async () => {
  const { stdout, status } = await run('check-file', good);
  expect(stdout).toBe('Quay: a sound shot, 21 frames at 12 a second, 1 arc, 1 move.\n');
  expect(status).toBe(0);
});

test.each([
  ['a missing file', ['sample', join(folder, 'none.json')], /cannot be read: there is no such file/],
  ['a folder', ['check-file', folder], /it is a folder/],
  ['half a file', ['sample', fileOf('half.json', writeShotFile(shot).slice(0, 90))], /valid JSON/],
  ['another file', ['check-file', fileOf('other.json', '{}')], /not a Humble Pendulum shot/],
  ['an unknown command', ['draw', good], /no command “draw”/],
  ['an unknown option', ['sample', good, '--loud'], /--loud/],
  ['both formats', ['sample', good, '--csv', '--json'], /one of --csv and --json/],
  ['a chart of nothing', ['chart', good], /A chart is a picture/],
  ['a span too many', ['chart', good, '--svg', '--span', '2'], /There is no span 2: the move has 1/],
  ['a move that is not there', ['chart', good, '--svg', '--move', 'x'], /no move x/],
  ['no file', ['sample'], /takes one shot file/],
  ['an option without a command', ['--csv', good], /Say a command first/],
  ['other units', ['sample', good, '--units', 'feet'], /--units is one of field, mm/],
  ['millimetres without a scale', ['sample', good, '--units', 'mm'], /need the scale of the field/],
  ['a slider without a scale', ['convert', good, '--slider'], /set the scale of the field first/],
])('%s: one sentence on stderr, nothing on stdout, exit code 1', async (_, args, sentence) => {
  const { stdout, stderr, status } = await run(...args);
  expect(status).toBe(1);
  expect(stdout).toBe('');
  expect(stderr).toMatch(sentence);
  expect(stderr.trimEnd().split('\n')).toHaveLength(1);
});

test('without a command it says how it is used, and which exit codes it has', async () => {
  expect((await run()).stdout).toMatch(/sample SHOT.json[^]*Exit codes: 0, .*; 1, .*; 2, /);
  expect(await run('solve', '--help')).toEqual(await run('--help'));
  const { version } = JSON.parse(readFileSync(join(__dirname, '../package.json'), 'utf8')) as {
    version: string;
  };
  expect(await run('--version')).toEqual({ status: 0, stdout: `humble-pendulum ${version}\n`, stderr: '' });
});

test('convert writes the shot in one of the formats, and says which there are', async () => {
  const { stdout, status } = await run('convert', good, '--svg');
  expect(status).toBe(0);
  expect(stdout).toMatch(/^<svg [^]*<g id="ticks"[^]*<\/svg>\n$/);
  expect((await run('convert', good, '--csv')).stdout).toBe((await run('sample', good, '--csv')).stdout);
  expect(JSON.parse((await run('convert', good, '--json')).stdout)).toMatchObject({ name: 'Quay' });
  const none = await run('convert', good);
  expect([none.status, none.stderr]).toEqual([
    1,
    'Say which format: one of --csv, --sheet, --parts, --pan, --charts, --keys, --cues, --svg, --moving-svg, --lottie, --strobe, --slider, --json, --zip.\n',
  ]);
});
