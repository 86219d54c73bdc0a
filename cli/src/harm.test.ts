import { spawnSync } from 'node:child_process';
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
import { writeFilmZip } from '@humble/core/files';
import { unzipSync, zipSync } from 'fflate';
import { COMMAND, CORK, cork, DEMO, run } from './testing';

const folder = mkdtempSync(join(tmpdir(), 'humble-harm-'));
afterAll(() => rmSync(folder, { recursive: true }));

test('what leads out of a film leads nowhere: names of shots are only names', async () => {
  const evil = { ...cork, name: '../../evil', backdrop: null, sound: null };
  const zip = zipSync({
    ...unzipSync(writeFilmZip({ name: '../..', shots: [evil], pictures: new Map(), sounds: new Map() })),
    '../evil.txt': new Uint8Array([1]),
    'shots/../../evil.json': new Uint8Array([1]),
  });
  const inside = join(folder, 'inside', 'deeper');
  const path = join(folder, 'evil.zip');
  writeFileSync(path, zip);
  const before = readdirSync(folder).sort();
  expect(await run('unpack', path, '--out', inside)).toMatchObject({
    status: 0,
    stderr: `Made the folder ${join(folder, 'inside')}.\n`,
  });
  expect(readdirSync(inside, { recursive: true }).sort()).toEqual(['shots', join('shots', '01-evil.json')]);
  expect(readdirSync(folder).sort()).toEqual([...before, 'inside'].sort());
});

describe('where nobody reads', () => {
  const shell = (script: string) =>
    spawnSync('bash', ['-c', script, process.execPath, COMMAND, CORK], { encoding: 'utf8' });

  test('a pipe that is closed early ends the command without a word', () => {
    const { stdout, stderr } = shell(
      'set -o pipefail; "$0" "$1" sample "$2" --json | head -1; "$0" "$1" --help | head -1',
    );
    expect([stdout, stderr]).toEqual([
      '{\nhumble-pendulum: plan how something travels, from a terminal\n',
      '',
    ]);
  });

  test('what can take no more is told in one sentence', () => {
    const { stderr, status } = shell('"$0" "$1" sample "$2" --csv > /dev/full');
    expect([stderr, status]).toEqual(['Standard output cannot be written: the disk is full.\n', 1]);
    expect(shell('"$0" "$1" sample "$2" --loud 2> /dev/full')).toMatchObject({
      stdout: '',
      stderr: '',
      status: 1,
    });
    expect(shell('"$0" "$1" sample "$2" --loud 2>&-')).toMatchObject({ stdout: '', stderr: '', status: 1 });
  });
});

describe('on a disk that is full', () => {
  // The system lets a process write files of so many blocks of 512 bytes only, as a disk lets it that has no more room.
  const crammed = (blocks: number, ...args: string[]) =>
    spawnSync('sh', ['-c', `ulimit -f ${blocks}; exec "$0" "$@"`, process.execPath, COMMAND, ...args], {
      encoding: 'utf8',
    });

  test('no picture is left of those that were made before, and what lay there stays', () => {
    const out = join(folder, 'crammed');
    const args = ['render', CORK, '--width', '1920', '--pictures', join(DEMO, 'pictures'), '--until', '3'];
    const { status, stderr } = crammed(16, ...args, '--out', out);
    expect([status, stderr]).toEqual([
      1,
      expect.stringMatching(/frame-0001\.png cannot be written: it is larger/),
    ]);
    expect(existsSync(out)).toBe(false);

    mkdirSync(out);
    writeFileSync(join(out, 'frame-0002.png'), 'of yesterday');
    expect(crammed(16, ...args, '--out', out).status).toBe(1);
    expect(readdirSync(out)).toEqual(['frame-0002.png']);
    expect(readFileSync(join(out, 'frame-0002.png'), 'utf8')).toBe('of yesterday');
  });

  test('a film is unpacked whole or not at all, and a file that is there is not torn', () => {
    const out = join(folder, 'crammed-film');
    const zip = join(folder, 'whole.zip');
    const packing = ['pack', CORK, '--pictures', join(DEMO, 'pictures'), '--sounds', join(DEMO, 'sounds')];
    expect(crammed(10_000, ...packing, '--out', zip).status).toBe(0);
    const good = readFileSync(zip);
    const torn = crammed(8, ...packing, '--out', zip);
    expect([torn.status, torn.stderr]).toEqual([1, expect.stringMatching(/cannot be written/)]);
    expect(readFileSync(zip)).toEqual(good);
    expect(crammed(40, 'unpack', zip, '--out', out).status).toBe(1);
    expect(existsSync(out)).toBe(false);
    expect(readdirSync(folder).filter((name) => name.endsWith('.half'))).toEqual([]);
  });
});
