import { said } from '../answer';
import { defineCommand, OUT, shotOf, TAKE } from '../command';
import type { Shot } from '@humble/core';
import { checkShot, type ShotFinding } from '@humble/core/checks';

const line = ({ figure, gravity, sentence, fix }: ShotFinding): string =>
  `${figure}: ${sentence}${gravity === 'mistake' ? ' (a mistake)' : ''}${fix ? ` [${fix.label}]` : ''}\n`;

/** What the checks find in a shot and nobody let be, as text or as JSON. */
function checked(shot: Shot, asJson: boolean): { readonly text: string; readonly findings: number } {
  const found = checkShot(shot).filter(({ isLetBe }) => !isLetBe);
  if (asJson) {
    const rows = found.map(({ figure, moveId, check, gravity, from, until, sentence, fix }) => ({
      figure,
      move: moveId,
      check,
      gravity,
      from,
      until,
      sentence,
      fix: fix && fix.label,
    }));
    return {
      text: `${JSON.stringify({ shot: shot.name, findings: rows }, null, 2)}\n`,
      findings: found.length,
    };
  }
  const text = found.length === 0 ? `${shot.name}: nothing found.\n` : found.map(line).join('');
  return { text, findings: found.length };
}

export default defineCommand({
  options: { ...OUT, ...TAKE, json: { type: 'boolean' } },
  run: (paths, values) => {
    const { text, findings } = checked(shotOf('check', paths, values).shot, values.json === true);
    return said(text, findings > 0 ? 2 : 0);
  },
});
