import { spawnSync } from 'node:child_process';
import {
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  mkdirSync,
  writeFileSync,
  readdirSync,
  existsSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { evaluate } from '@humble/core';
import { COMMAND, cork } from './testing';

const ROOT = join(__dirname, '../..');
const folder = mkdtempSync(join(tmpdir(), 'humble-docs-'));
afterAll(() => rmSync(folder, { recursive: true }));

beforeAll(() => {
  symlinkSync(join(ROOT, 'demo'), join(folder, 'demo'));
  // What the examples call by npx.
  const bin = join(folder, 'bin');
  mkdirSync(bin);
  writeFileSync(
    join(bin, 'npx'),
    `#!/bin/sh\n[ "$1" = humble-pendulum ] || exit 99\nshift\nexec "${process.execPath}" "${COMMAND}" "$@"\n`,
    { mode: 0o755 },
  );
});

/** Where the examples find the data of a server: it was started once, with the demo film. */
const DATA = join(folder, 'data');
const START_ONCE = `
  import { spawn } from 'node:child_process';
  const { default: buildServer } = await import('${ROOT}/scripts/buildServer.mjs');
  await buildServer();
  const server = spawn(process.execPath, ['server/dist/main.mjs', '--demo'], {
    cwd: '${ROOT}',
    env: { ...process.env, PORT: '0', HUMBLE_DATA: '${DATA}' },
  });
  server.stdout.on('data', () => server.kill('SIGINT'));
`;

beforeAll(() => {
  process.env.HUMBLE_DATA = DATA;
  const { stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', START_ONCE], {
    encoding: 'utf8',
  });
  expect(stderr).toBe('');
}, 60_000);

const textOf = (path: string): string => readFileSync(join(ROOT, path), 'utf8');

/** The blocks of code of a text, each with its language. */
const blocksOf = (text: string) =>
  [...text.matchAll(/^```(\w*)\n([^]*?)^```$/gm)].map(([, language, code]) => ({ language, code: code! }));

/** The commands of a block: a line each, unless it goes on. */
const commandsOf = (code: string): readonly string[] =>
  code.startsWith('npx') && code.includes('|\n')
    ? [code]
    : code.split('\n').filter((line) => line.startsWith('npx humble-pendulum'));

const shell = (script: string) =>
  spawnSync('bash', ['-c', `set -o pipefail; ${script}`], {
    cwd: folder,
    encoding: 'utf8',
    // npm's word for where it was started counts for paths: the examples' files belong in the folder.
    env: { ...process.env, INIT_CWD: folder, PATH: `${join(folder, 'bin')}:${process.env.PATH}` },
  });

const PIPELINE = textOf('docs/pipeline.md');
/** The README's examples of commands that find something end with 2. */
const FINDS = /humble-pendulum check demo|--max-speed/;

const examples = [PIPELINE, textOf('README.md')].flatMap((text) =>
  blocksOf(text)
    .filter(({ language }) => language === '')
    .flatMap(({ code }) => commandsOf(code)),
);

test('there are examples', () => expect(examples.length).toBeGreaterThan(15));

test.each(examples)('%s', (command) => {
  const { status, stderr } = shell(command);
  expect([command, stderr, status]).toEqual([
    command,
    expect.not.stringMatching(/ {4}at |Error/),
    FINDS.test(command) ? 2 : 0,
  ]);
});

test('the slider’s sentence is the one that is printed', () => {
  const command = examples.find((example) => example.includes('--max-speed'))!;
  expect(PIPELINE).toContain(`\`${shell(command).stderr.trim()}\``);
});

test('the compositor’s lines are pixels of a picture that is 1,920 wide, one for each frame', () => {
  const command = examples.find((example) => example.includes('1920 / field.width'))!;
  const lines = shell(command).stdout.trimEnd().split('\n');
  const { pivotX, pivotY, shown } = evaluate(cork).travels[0]!;
  expect(lines).toHaveLength(cork.lengthFrames);
  lines.forEach((line, i) => {
    const [frame, x, y] = line.split(',').map(Number);
    const at = shown[i]! - 1;
    expect(frame).toBe(i + 1);
    expect(x).toBeCloseTo((pivotX[at]! * 1920) / cork.field.width, 6);
    expect(y).toBeCloseTo((pivotY[at]! * 1920) / cork.field.width, 6);
  });
});

test('the Makefile does what the text before it says', () => {
  const { code } = blocksOf(PIPELINE).find(({ language }) => language === 'make')!;
  rmSync(join(folder, 'frames'), { recursive: true, force: true });
  writeFileSync(join(folder, 'Makefile'), code);
  const shots = readdirSync(join(ROOT, 'demo/shots'));
  const all = shell('make');
  expect([all.status, all.stderr]).toEqual([0, '']);
  expect(readdirSync(join(folder, 'out'))).toHaveLength(2 * shots.length);
  // Nothing has changed: nothing is made anew.
  expect(shell('make').stdout).not.toContain('humble-pendulum');
  // The demo film has something to be found in each shot.
  expect(shell('make checked').status).toBe(2);
  expect(shell('make frames/dropped-cork/.done').status).toBe(0);
  expect(
    readdirSync(join(folder, 'frames/dropped-cork')).filter((name) => name.endsWith('.png')),
  ).toHaveLength(cork.lengthFrames);
  expect(existsSync(join(folder, 'out/dropped-cork-sheet.csv'))).toBe(true);
}, 120_000);
