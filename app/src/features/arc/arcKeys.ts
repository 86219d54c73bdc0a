import type { Arc, Vector } from '@humble/core';
import { keyHandler } from '../../commands/keyHandler';
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

function nudger(store: AppStore): (by: Vector, ids: readonly string[]) => void {
  const run = nudgeRun();
  return (by, ids) => {
    const arc = selectActiveArc(store.getState());
    if (!arc) return;
    const { undoGroup, total } = run(ids.join(' '), by);
    store.dispatch(doEdit('movePoints', { arcId: arc.id, pointIds: ids, by: total }, undoGroup));
  };
}

export function arcKeys(store: AppStore): (event: KeyboardEvent) => boolean {
  const { dispatch, getState } = store;
  const nudgeBy = nudger(store);
  const shapedArc = (): Arc | null => {
    const arc = selectActiveArc(getState());
    return arc && !arc.locked && getState().editor.tool === 'shape' ? arc : null;
  };
  const isPlacing = (): boolean => getState().editor.tool === 'points';
  const takeBack = (): boolean => {
    if (isPlacing()) dispatch(takePlacedBack());
    return isPlacing();
  };
  const nudge = (event: KeyboardEvent): boolean => {
    const { selectedPointIds } = getState().editor;
    const by = nudgeOf(event);
    if (!by || !shapedArc() || selectedPointIds.length === 0) return false;
    nudgeBy(by, selectedPointIds);
    return true;
  };
  const remove = (): boolean => {
    const arc = shapedArc();
    const { selectedPointIds } = getState().editor;
    if (!arc || selectedPointIds.length === 0) return false;
    if (dispatch(doEdit('deletePoints', { arcId: arc.id, pointIds: selectedPointIds })))
      dispatch(pointsSelected([]));
    return true;
  };
  const goTo = (by: 1 | -1) => (): boolean => {
    const ids = shapedArc()?.points.map(({ id }) => id);
    if (!ids) return false;
    const from = ids.indexOf(getState().editor.selectedPointIds[0] ?? '');
    dispatch(pointsSelected([ids[from < 0 ? 0 : (from + by + ids.length) % ids.length]!]));
    return true;
  };
  return keyHandler('arc', {
    takeBack,
    finish: (event) => {
      if (!isOnPage(event)) return false;
      if (isPlacing()) return void dispatch(finishPlacing(false));
      if (!getState().editor.sketch?.fitted) return false;
      void dispatch(keepSketch());
    },
    cancel: () => {
      const { tool, sketch, arcLocation, isSelectingSeveral } = getState().editor;
      if (tool !== 'shape') dispatch(toolChosen('shape'));
      else if (sketch) dispatch(sketched(null));
      else if (arcLocation) dispatch(arcLocationSelected(null));
      else if (isSelectingSeveral) dispatch(selectingSeveralSet(false));
      else dispatch(pointsSelected([]));
    },
    selectAll: () => {
      const arc = shapedArc();
      if (!arc) return false;
      dispatch(pointsSelected(arc.points.map(({ id }) => id)));
    },
    nudge,
    nudgeFar: nudge,
    remove,
    removeToo: () => takeBack() || remove(),
    nextPoint: goTo(1),
    previousPoint: goTo(-1),
  });
}
