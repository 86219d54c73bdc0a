import { freshRamp } from '../timing/easings/ramped';
import { NO_KEYS } from '../timing/tracks';
import { freshId } from '../model/ids';
import { PLAIN_FIGURE, PLAIN_RIDING } from '../model/plainRiding';
import { PLAIN_MARK, PLAIN_TIMING } from '../model/plainTiming';
import type { Arc, Easing, Move, Shot } from '../model/schema';
import { lastFrameFor } from '../model/limits';

/** Height of a fresh stand-in as a share of the field's height. */
export const FRESH_FIGURE_SHARE = 0.16;
const EVEN: Easing = { kind: 'even' };

export function freshFigureName({ figures }: Shot, wished?: string): string {
  const names = new Set(figures.map(({ name }) => name));
  if (wished !== undefined && wished !== '' && !names.has(wished)) return wished;
  let number = wished ? 2 : figures.length + 1;
  const named = (): string => `${wished || 'Figure'} ${number}`;
  while (names.has(named())) number++;
  return named();
}

/**
 * A move of a figure over all frames of a shot: it leaves and arrives slowly on an open arc; round a closed one it goes
 * evenly, and is back at the seam one frame after the last, so that a loop does not pause there.
 */
export function freshMove(shot: Shot, arc: Arc, figureId: string): Move {
  const last = lastFrameFor(shot.lengthFrames, arc.closed);
  const kind = arc.closed ? 'pass' : 'stop';
  const easing = arc.closed ? EVEN : freshRamp(last - 1);
  const waiting = shot.waiting.flatMap(({ move }) => move ?? []);
  return {
    id: freshId('move', [...shot.moves, ...waiting]),
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
    ...PLAIN_RIDING,
    keeps: 'fractions',
    acted: null,
    tracks: NO_KEYS,
  };
}

export function withFigureOn(shot: Shot, arc: Arc): Shot {
  const figureId = freshId('figure', shot.figures);
  return {
    ...shot,
    figures: [
      ...shot.figures,
      {
        id: figureId,
        name: freshFigureName(shot),
        artwork: { kind: 'stand-in', standIn: 'peg' },
        height: Math.max(1, Math.round(shot.field.height * FRESH_FIGURE_SHARE)),
        ...PLAIN_FIGURE,
      },
    ],
    moves: [...shot.moves, freshMove(shot, arc, figureId)],
  };
}
