import type { Vector } from '@humble/core';
import { doEdit } from '../../store/doEdit';
import {
  arcLocationSelected,
  pointsSelected,
  selectingSeveralSet,
  sketched,
  toolChosen,
} from '../../store/editorSlice';
import { nudgeRun } from '../../commands/nudgeRun';
import { finishPlacing, takePlacedBack } from '../../commands/placing';
import { keepSketch } from '../../commands/sketch';
import type { AppStore } from '../../store/store';
import { isOnPage, nudgeOf } from '../../commands/arrows';
import { selectActiveArc } from '../../store/selectors/active';

/** Moves the selected points by small steps; a run of them is one gesture. */
function nudger(store: AppStore): (by: Vector, ids: readonly string[]) => void {
  const run = nudgeRun();
  return (by, ids) => {
    const arc = selectActiveArc(store.getState());
    if (!arc) return;
    const { undoGroup, total } = run(ids.join(' '), by);
    store.dispatch(doEdit('movePoints', { arcId: arc.id, pointIds: ids, by: total }, undoGroup));
  };
}

/** The keys that make and shape arcs; what a key does now, or nothing when it is not one of them. */
export function arcKeys(store: AppStore): (event: KeyboardEvent) => (() => void) | undefined {
  const nudge = nudger(store);
  return (event) => {
    const state = store.getState();
    const { tool, selectedPointIds, arcLocation, sketch, isSelectingSeveral } = state.editor;
    const { dispatch } = store;
    const arc = selectActiveArc(state);
    const isCommand = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();

    if (tool === 'points') {
      if (isCommand && key === 'z' && !event.shiftKey) return () => dispatch(takePlacedBack());
      if (event.key === 'Backspace') return () => dispatch(takePlacedBack());
      if (event.key === 'Enter' && isOnPage(event)) return () => dispatch(finishPlacing(false));
    }
    if (event.key === 'Escape') {
      if (tool !== 'shape') return () => dispatch(toolChosen('shape'));
      if (sketch) return () => dispatch(sketched(null));
      if (arcLocation) return () => dispatch(arcLocationSelected(null));
      if (isSelectingSeveral) return () => dispatch(selectingSeveralSet(false));
      return () => dispatch(pointsSelected([]));
    }
    if (event.key === 'Enter' && sketch?.fitted && isOnPage(event)) return () => void dispatch(keepSketch());
    if (!arc || arc.locked || tool !== 'shape') return undefined;
    const ids = arc.points.map(({ id }) => id);
    if (isCommand) return key === 'a' ? () => dispatch(pointsSelected(ids)) : undefined;
    if (event.altKey) return undefined;
    if (selectedPointIds.length > 0) {
      const by = nudgeOf(event);
      if (by) return () => nudge(by, selectedPointIds);
      if (event.key === 'Delete' || event.key === 'Backspace')
        return () => {
          if (dispatch(doEdit('deletePoints', { arcId: arc.id, pointIds: selectedPointIds })))
            dispatch(pointsSelected([]));
        };
    }
    if (event.key === 'PageDown' || event.key === 'PageUp') {
      const by = event.key === 'PageDown' ? 1 : -1;
      const from = ids.indexOf(selectedPointIds[0] ?? '');
      const next = from < 0 ? 0 : (from + by + ids.length) % ids.length;
      return () => dispatch(pointsSelected([ids[next]!]));
    }
    return undefined;
  };
}
