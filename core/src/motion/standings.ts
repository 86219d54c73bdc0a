import { measureArc, pointBuffer, writePoint } from '../arc/arcMeasure';
import type { Move, Shot, TrackName } from '../model/schema';
import { isHold } from '../timing/isHold';
import { firstFrame, fractionAt, lastFrame, spanIndexAt } from '../timing/placeInTime';
import { trackValueAt } from '../timing/tracks/trackValues';
import { distanceOn } from './distanceOn';
import { evaluateMove, moveParts, SAME_PLACE } from './evaluate';
import { drawingOn } from '../exposure/drawings';
import { offsetInField } from './offset';
import type { Scale } from './scale';

export interface Standing {
  readonly frame: number;
  readonly x: number;
  readonly y: number;
  readonly directionDeg: number;
  readonly headingDeg: number;
  readonly pivotX: number;
  readonly pivotY: number;
  readonly scale: Scale;
  /** How far it covers what lies beneath it, 0 to 1. */
  readonly opacity: number;
  readonly drawing: number;
}

const hasFacingOfItsOwn = ({ backwards, smoothFrames, cornerFrames, lean, shakes }: Move): boolean =>
  shakes.length > 0 || backwards !== 'keeps' || smoothFrames > 1 || cornerFrames > 1 || lean.by !== 'none';

/** The first frame of the span that holds at a frame, to step over a long hold at once; else the frame itself. */
function heldSince(move: Move, f: number): number {
  if (f > lastFrame(move)) return move.after === 'hold' ? lastFrame(move) : f;
  if (f <= firstFrame(move)) return move.before === 'hold' ? 1 : f;
  const i = spanIndexAt(move, f - 1);
  const [from, to] = [move.marks[i]!, move.marks[i + 1]!];
  return from.easing.kind === 'snap' || isHold(from, to) ? Math.min(f - 1, from.frame) : f;
}

/**
 * Where the figure of a move stands on some frames of its shot: what `evaluateMove` has for them, worked out
 * for these frames alone. For pictures that need few frames of a long shot.
 * @param frames whole, within the shot
 * @throws ShotError `unknown-id`
 */
export function standingsOn(shot: Shot, move: Move, frames: readonly number[]): Standing[] {
  const { arc, figure } = moveParts(shot, move);
  const measure = measureArc(arc);
  const at = pointBuffer();
  const same = measure.length * SAME_PLACE;
  const distanceAt = (f: number): number => distanceOn(measure, fractionAt(move, f));
  const isSame = (f: number, g: number): boolean => Math.abs(distanceAt(f) - distanceAt(g)) <= same;

  const standingSince = (f: number): number => {
    let since = f;
    while (since > 1 && isSame(since - 1, since)) {
      const jump = heldSince(move, since);
      since = jump < since && isSame(jump, since) ? jump : since - 1;
    }
    return since;
  };
  const directionOn = (f: number): number => {
    const since = standingSince(f);
    const s = distanceAt(since);
    const cameForward = since > 1 && s - distanceAt(since - 1) > same;
    const staysNext = since < shot.lengthFrames && isSame(since, since + 1);
    writePoint(measure, s, arc.points[0], at, cameForward && staysNext ? 'arriving' : 'leaving');
    return at.headingDeg;
  };

  // A heading that hangs on the frames about it, or on all of them, is worked out with all of them.
  const whole = hasFacingOfItsOwn(move) ? evaluateMove(shot, move) : null;
  const on = (track: TrackName, f: number): number => trackValueAt(track, move.tracks[track], f);
  const byHand = new Map(move.overrides.map((override) => [override.frame, override]));
  return frames.map((frame) => {
    const directionDeg = directionOn(frame);
    writePoint(measure, distanceAt(frame), arc.points[0], at);
    const { dx, dy } = byHand.get(frame) ?? { dx: 0, dy: 0 };
    const [x, y] = [at.x + dx, at.y + dy];
    const offset = { x: on('offsetX', frame), y: on('offsetY', frame) };
    const off = offsetInField(move.offsetIn, offset, directionDeg);
    const across = on('size', frame) / 100;
    return {
      frame,
      x,
      y,
      directionDeg,
      headingDeg:
        whole?.heading[frame - 1] ??
        (move.turnsWithArc ? directionDeg : 0) + move.correctionDeg + on('turn', frame),
      pivotX: whole?.pivotX[frame - 1] ?? x + off.x,
      pivotY: whole?.pivotY[frame - 1] ?? y + off.y,
      scale: { across, down: move.sizesApart ? on('sizeDown', frame) / 100 : across },
      opacity: on('opacity', frame) / 100,
      drawing: drawingOn({ move, figure, distanceOn: distanceAt, lastFrame: shot.lengthFrames }, frame),
    };
  });
}
