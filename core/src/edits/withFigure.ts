import { freshRamp } from '../timing/easings/ramped';
import { NO_KEYS } from '../timing/tracks';
import { freshId } from '../model/ids';
import { PLAIN_FACING } from '../model/plainFacing';
import { PLAIN_MARK, PLAIN_TIMING } from '../model/plainTiming';
import { type Arc, type Easing, type Shot } from '../model/schema';
import { lastFrameFor } from '../model/limits';

/** Height of a fresh stand-in as a share of the field's height. */
export const FRESH_FIGURE_SHARE = 0.16;
const EVEN: Easing = { kind: 'even' };

/**
 * The shot with a stand-in on the start of an arc and a move over all frames: it leaves and arrives
 * slowly on an open arc; round a closed one it goes evenly, and is back at the seam one frame after the last,
 * so that a loop does not pause there.
 */
export function withFigureOn(shot: Shot, arc: Arc): Shot {
  const figureId = freshId('figure', shot.figures);
  const names = new Set(shot.figures.map(({ name }) => name));
  let number = shot.figures.length + 1;
  while (names.has(`Figure ${number}`)) number++;
  const last = lastFrameFor(shot.lengthFrames, arc.closed);
  const kind = arc.closed ? 'pass' : 'stop';
  const easing = arc.closed ? EVEN : freshRamp(last - 1);
  return {
    ...shot,
    figures: [
      ...shot.figures,
      {
        id: figureId,
        name: `Figure ${number}`,
        artwork: { kind: 'stand-in', standIn: 'peg' },
        height: Math.max(1, Math.round(shot.field.height * FRESH_FIGURE_SHARE)),
      },
    ],
    moves: [
      ...shot.moves,
      {
        id: freshId('move', shot.moves),
        figureId,
        arcId: arc.id,
        marks: [
          { ...PLAIN_MARK, id: 'm1', frame: 1, fraction: 0, kind, easing },
          { ...PLAIN_MARK, id: 'm2', frame: last, fraction: 1, kind, easing: EVEN },
        ],
        ...PLAIN_TIMING,
        framesHeld: 1,
        turnsWithArc: true,
        correctionDeg: 0,
        ...PLAIN_FACING,
        keeps: 'fractions',
        acted: null,
        tracks: NO_KEYS,
      },
    ],
  };
}
