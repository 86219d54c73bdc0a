import { evaluateMove, type Key, type TrackName } from '@humble/core';
import { frameNearestTo, readingUnits } from '@humble/core/views';
import { createKeyDrag, toggleKeySelection } from '../../../commands/keys';
import { keyMenu } from '../../../commands/menus/figureMenus';
import { interactiveSurface } from '../../../interaction/interactiveSurface';
import { defineTarget, type Target } from '../../../interaction/target';
import { currentFrame, goTo } from '../../../playback/playhead';
import type { PointerSurface, ViewPointer } from '../../../render/pointerSession';
import { keysSelected } from '../../../store/editorSlice';
import type { AppStore, RootState } from '../../../store/store';
import { at, type Axis, isInSight, valueAt } from '../../../ui/axis';
import { ROW_PX } from './selectTracksWithKeys';
import { keysGround } from './trackTargets';
import { selectActiveMove } from '../../../store/selectors/active';

/** The keys of the active move under the unrolled arc: a row a track, each key where the figure is on its frame. */

/** Half of a finger's target along the row, pixels. */
const REACH_PX = 20;

export interface PlacedKey {
  readonly key: Key;
  /** Units of the ruler. */
  readonly arcDistance: number;
}

/** Where on the ruler the active move is on each frame, and the frame that is nearest to a place; null without a move. */
function selectRuler(state: RootState) {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  if (!shot || !move) return null;
  const travel = evaluateMove(shot, move);
  const { arcDistance } = travel;
  const { perUnit } = readingUnits(shot);
  return {
    move,
    distanceOn: (frame: number): number =>
      arcDistance[Math.min(arcDistance.length, Math.max(1, frame)) - 1]! * perUnit,
    frameAt: (distance: number, from: number): number => frameNearestTo(travel, distance / perUnit, from),
  };
}

/** The keys of a track in the order of time, with their places. */
export function selectPlacedKeys(state: RootState, track: TrackName): PlacedKey[] {
  const ruler = selectRuler(state);
  return (ruler?.move.tracks[track] ?? []).map((key) => ({ key, arcDistance: ruler!.distanceOn(key.frame) }));
}

export const rowPath = (keys: readonly PlacedKey[], axis: Axis, top: number): string =>
  keys
    .filter(({ arcDistance }) => isInSight(axis, arcDistance))
    .map(({ arcDistance }) => `M${(at(axis, arcDistance) - 1.5).toFixed(1)} ${top + 5}h3v12h3v2h-9v-2h3z`)
    .join('');

interface KeyRowView {
  readonly store: AppStore;
  readonly track: TrackName;
  readonly axis: Axis;
  readonly frameAt: (x: number, from: number) => number;
}

/** A key under the unrolled arc: dragged along the arc to another frame. */
export const rowKeyTarget = defineTarget<KeyRowView, PlacedKey>({
  kind: 'row key',
  reachPx: () => REACH_PX,
  items: ({ store, track, axis }, { y }) =>
    // Of those on one spot the one nearest to the playhead is taken.
    [...selectPlacedKeys(store.getState(), track)]
      .sort((a, b) => Math.abs(a.key.frame - currentFrame()) - Math.abs(b.key.frame - currentFrame()))
      .map((placed) => ({ ...placed, x: at(axis, placed.arcDistance), y })),
  menu: ({ store, track }, { key }) => keyMenu(store, track, key.frame),
  press: ({ store, track, frameAt }, { key, x }, start) => {
    const drag = createKeyDrag(store, track, key.id);
    // The key stays under the finger as it was taken; its frame follows it over holds and turns.
    const off = x - start.x;
    let frame = key.frame;
    return {
      name: `key ${key.id}`,
      drag: (now) => {
        frame = frameAt(now.x + off, frame);
        drag?.by(frame - key.frame, 0);
      },
      tap: () => {
        const { isSelectingSeveral } = store.getState().editor;
        if (start.isShift || isSelectingSeveral) store.dispatch(toggleKeySelection(track, key.id));
        else {
          store.dispatch(keysSelected({ track, ids: [key.id] }));
          goTo(key.frame);
        }
      },
    };
  },
});

const ROW_TARGETS: readonly Target<KeyRowView>[] = [rowKeyTarget];

export function keyRowsSurface(
  store: AppStore,
  tracks: readonly TrackName[],
  axis: Axis,
): PointerSurface<ViewPointer> {
  const trackAt = (y: number): TrackName =>
    tracks[Math.min(tracks.length - 1, Math.max(0, Math.floor(y / ROW_PX)))]!;
  const frameAt = (x: number, from: number): number =>
    selectRuler(store.getState())?.frameAt(valueAt(axis, x), from) ?? from;
  return interactiveSurface<KeyRowView>({
    view: ({ y }) => ({ store, track: trackAt(y), axis, frameAt }),
    targets: ROW_TARGETS,
    ground: (view) => keysGround(view, ({ x }) => goTo(frameAt(x, currentFrame()))),
  });
}
