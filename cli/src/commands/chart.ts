import { type Shot, spansOf } from '@humble/core';
import { ladderSvg } from '@humble/core/files';
import { ladderOf } from '@humble/core/views';
import { said } from '../answer';
import { defineCommand, OUT, shotOf, TAKE } from '../command';
import { UsageError } from '../usageError';

/** The ladder of one span; without a number the first that goes anywhere. */
function chartPicture(shot: Shot, moveId: string | undefined, span: string | undefined): string {
  const move = moveId === undefined ? shot.moves[0] : shot.moves.find(({ id }) => id === moveId);
  if (!move) throw new UsageError(moveId ? `The shot has no move ${moveId}.` : 'Nothing moves in this shot.');
  const spans = spansOf(move);
  const index = span === undefined ? spans.findIndex(({ isHold }) => !isHold) : Number(span) - 1;
  if (!spans[index])
    throw new UsageError(`There is no span ${span ?? 'that goes anywhere'}: the move has ${spans.length}.`);
  const { from, to } = spans[index];
  return ladderSvg(ladderOf(shot, move, index), `${shot.name}, frames ${from.frame} to ${to.frame}`);
}

export default defineCommand({
  options: { ...OUT, ...TAKE, svg: { type: 'boolean' }, move: { type: 'string' }, span: { type: 'string' } },
  run: (paths, values) => {
    const { shot } = shotOf('chart', paths, values);
    if (!values.svg) throw new UsageError('A chart is a picture: say chart SHOT.json --svg.');
    return said(chartPicture(shot, values.move, values.span));
  },
});
