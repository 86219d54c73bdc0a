import { type Vector } from '@humble/core';
import { alongDirections, snap, type SnapTargets } from '@humble/core/views';
import type { FieldContext, Pointer } from '../dragHandler';
import { setPointerScene } from '../pointerScene';

/** Things this near attract what is dragged, pixels. */
const SNAP_PX = 7;
const DIRECTION_STEP_DEG = 45;

/**
 * Settles where something dragged comes to lie: with Shift in line with where it was, else drawn to what is
 * near, as the settings say. Shows what attracted it.
 * @param moving points that move along and so cannot attract
 */
export function snapper(
  { store, snapshot }: FieldContext,
  from: Vector,
  moving: ReadonlySet<string> = new Set(),
): (to: Vector, now: Pointer) => Vector {
  const { shot } = store.getState().shot.present;
  const { state } = snapshot();
  const own = state.arc?.points.filter(({ id }) => !moving.has(id)) ?? [];
  const points = [...own, ...state.others.flatMap((arc) => arc.points)];
  return (to, { isShift }) => {
    const { settings } = store.getState();
    if (isShift) {
      const at = alongDirections(from, to, DIRECTION_STEP_DEG);
      setPointerScene({ guides: [{ kind: 'level', from, to: at }] });
      return at;
    }
    const targets: SnapTargets = {
      grid: settings.snapsToGrid ? settings.gridSize : null,
      points: settings.snapsToPoints ? points : [],
      centre: settings.snapsToPoints && shot ? { x: shot.field.width / 2, y: shot.field.height / 2 } : null,
      lines: settings.snapsToLines,
      reach: SNAP_PX / snapshot().projection.scale,
    };
    const { at, guides } = snap(to, targets);
    setPointerScene({ guides });
    return at;
  };
}

/** Turns in steps while Shift is held. */
const TURN_STEP_DEG = 15;
export const steppedDeg = (deg: number, { isShift }: Pointer): number =>
  isShift ? Math.round(deg / TURN_STEP_DEG) * TURN_STEP_DEG : deg;
