import type { Arc, Travel } from '@humble/core';
import type { RootState } from '../../../store/store';
import { visibleArcs, visibleTravels } from './arcPaths';
import { selectShot, selectActiveArc } from '../../../store/selectors/active';

/**
 * Arcs and what travels on them are drawn in two groups on sheets of their own: what is dragged belongs to the active
 * arc, so that the others need not be painted again.
 */
export type ArcGroup = 'active' | 'others';

/** Gives back the list of before where its members are still the same. */
function keepList<Item>(): (list: readonly Item[]) => readonly Item[] {
  let last: readonly Item[] = [];
  return (list) => {
    const isSame = list.length === last.length && list.every((item, i) => item === last[i]);
    return isSame ? last : (last = list);
  };
}

export function arcsOfGroup(group: ArcGroup): (state: RootState) => readonly Arc[] {
  const keep = keepList<Arc>();
  return (state) => {
    const shot = selectShot(state);
    const active = selectActiveArc(state);
    return keep(shot ? visibleArcs(shot).filter((arc) => (arc === active) === (group === 'active')) : []);
  };
}

export function travelsOfGroup(group: ArcGroup): (state: RootState) => readonly Travel[] {
  const keep = keepList<Travel>();
  return (state) => {
    const shot = selectShot(state);
    const activeId = selectActiveArc(state)?.id;
    const isMember = ({ arc }: Travel): boolean => (arc.id === activeId) === (group === 'active');
    return keep(shot ? visibleTravels(shot, state.editor.soloFigureId).filter(isMember) : []);
  };
}
