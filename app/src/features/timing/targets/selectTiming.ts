import { isHold, type Move } from '@humble/core';
import { type UnrolledArc, unrolledArc } from '@humble/core/views';
import type { RootState } from '../../../store/store';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { currentFrame } from '../../../playback/playhead';
import { describeEasing, type EasingHandle } from '../../../kinds/easings';
import { selectActiveMove } from '../../../store/selectors/active';

/** The active move and its arc as a ruler, as the state has them now; null where nothing travels. */
export interface TimingNow {
  readonly move: Move;
  readonly ruler: UnrolledArc;
  readonly lengthFrames: number;
  readonly rate: number;
  readonly fieldUnits: number;
}

export function selectTiming(state: RootState): TimingNow | null {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  if (!shot || !move) return null;
  const { field, sheet, lengthFrames, rate } = shot;
  const fieldUnits = sheet.units === 'mm' && field.unitsPerMm ? field.unitsPerMm : 1;
  return { move, ruler: unrolledArc(shot, move), lengthFrames, rate, fieldUnits };
}

export interface PlacedMark {
  readonly frame: number;
  readonly arcDistance: number;
}

export interface PlacedHandle extends PlacedMark {
  readonly handle: EasingHandle;
  readonly stem: PlacedMark | null;
  readonly ends: readonly [PlacedMark, PlacedMark];
}

const NO_HANDLES: readonly PlacedHandle[] = [];

/** The handles of the span that is worked on, in the units of the ruler. */
export function selectHandles(state: RootState): readonly PlacedHandle[] {
  const now = selectTiming(state);
  if (!now) return NO_HANDLES;
  const { move, ruler } = now;
  const index = currentSpan(move, state.editor.selectedMarkIds, currentFrame());
  const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
  if (isHold(from, to)) return NO_HANDLES;
  const distanceAt = (share: number): number =>
    (from.fraction + share * (to.fraction - from.fraction)) * ruler.length;
  const ends = [
    { frame: from.frame, arcDistance: distanceAt(0) },
    { frame: to.frame, arcDistance: distanceAt(1) },
  ] as const;
  return (describeEasing(from.easing.kind).handles?.(from.easing, to.frame - from.frame) ?? []).map(
    (handle) => ({
      handle,
      frame: from.frame + handle.x,
      arcDistance: distanceAt(handle.share),
      stem: handle.stem && { frame: from.frame + handle.stem.x, arcDistance: distanceAt(handle.stem.share) },
      ends,
    }),
  );
}

/** The exposure whose place is nearest to a place on the ruler; of those on one spot the one nearest in time. */
export function frameNear({ ticks, length }: UnrolledArc, arcDistance: number, from: number): number {
  let best = from;
  let least = Infinity;
  for (const tick of ticks) {
    const away = Math.abs(tick.arcDistance - arcDistance) + Math.abs(tick.frame - from) * 1e-9 * (1 + length);
    if (away < least) {
      least = away;
      best = tick.frame;
    }
  }
  return best;
}

/** Where on the ruler the exposure is that the playhead is on; before the first one, that. */
export function arcDistanceAtPlayhead({ ticks, from }: UnrolledArc): number {
  let arcDistance = ticks[0]?.arcDistance ?? from;
  for (const tick of ticks) if (tick.frame <= currentFrame()) arcDistance = tick.arcDistance;
  return arcDistance;
}
