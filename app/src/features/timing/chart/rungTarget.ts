import type { Move } from '@humble/core';
import type { Ladder, Rung } from '@humble/core/views';
import { pictureMenu } from '../../../commands/menus/timingMenus';
import { defineTarget } from '../../../interaction/target';
import { goTo } from '../../../playback/playhead';
import { doEdit } from '../../../store/doEdit';
import type { AppStore } from '../../../store/store';
import { at, type Axis, valueAt } from '../../../ui/axis';
import { createUndoGroup } from '../../../ui/undoGroup';

const TAKE_PX = 16;

export interface ChartPointerView {
  readonly store: AppStore;
  readonly ladder: Ladder;
  readonly move: Move;
  /** Shares of the way, downwards. */
  readonly axis: Axis;
}

/** The rung that is taken at a height of the chart; null where there is none. */
export function rungAt({ ladder, axis }: Pick<ChartPointerView, 'ladder' | 'axis'>, y: number): Rung | null {
  let best: Rung | null = null;
  let least = TAKE_PX;
  for (const rung of ladder.rungs) {
    const away = Math.abs(at(axis, rung.share) - y);
    if (away >= least) continue;
    least = away;
    best = rung;
  }
  return best;
}

/** A drawing between two keys: dragged along the way. */
export const rungTarget = defineTarget<ChartPointerView, { readonly rung: Rung }>({
  kind: 'rung',
  items: (view, pointer) => {
    const rung = rungAt(view, pointer.y);
    return rung ? [{ rung, ...pointer }] : [];
  },
  menu: ({ store }, { rung }) => pictureMenu(store, rung.frame),
  press: ({ store, ladder: { from, to }, move, axis }, { rung: { frame, share } }, start) => {
    const undoGroup = createUndoGroup('chart');
    const place = { moveId: move.id, frame, reachFrames: 0 };
    return {
      tap: () => goTo(frame),
      drag: ({ y }) => {
        const reached = share + valueAt(axis, y) - valueAt(axis, start.y);
        goTo(frame);
        const fraction = from.fraction + reached * (to.fraction - from.fraction);
        store.dispatch(doEdit('moveTick', { ...place, fraction }, undoGroup));
      },
    };
  },
});
