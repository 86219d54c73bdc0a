import { spawnSync } from 'node:child_process';
import { COMMAND } from './testing';

const run = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [COMMAND, ...args], { encoding: 'utf8' });
  return { status, stdout, stderr: stderr.trim() };
};

test('commands on the server’s data are handed to the server’s own program, and its sentences handed on', () => {
  expect(run('backup', '--data', '/nowhere')).toEqual({
    status: 1,
    stdout: '',
    stderr: 'There is no data in /nowhere. Say where it is with --data FOLDER.',
  });
  expect(run('verify', '/nowhere/all.zip').stderr).toBe('There is no file /nowhere/all.zip.');
}, 60_000);
