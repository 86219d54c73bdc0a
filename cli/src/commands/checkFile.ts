import type { Shot } from '@humble/core';
import { said } from '../answer';
import { defineCommand, OUT, shotOf, TAKE } from '../command';

function soundSentence(shot: Shot): string {
  const count = (n: number, noun: string): string => `${n} ${noun}${n === 1 ? '' : 's'}`;
  return `${shot.name}: a sound shot, ${count(shot.lengthFrames, 'frame')} at ${shot.rate} a second, ${count(shot.arcs.length, 'arc')}, ${count(shot.moves.length, 'move')}.\n`;
}

export default defineCommand({
  options: { ...OUT, ...TAKE },
  run: (paths, values) => said(soundSentence(shotOf('check-file', paths, values).shot)),
});
