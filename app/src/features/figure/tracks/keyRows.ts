import { evaluateMove, type Key, type TrackName } from '@humble/core';
import { frameNearestTo, readingUnits } from '@humble/core/views';
import { addKey, createKeyDrag, toggleKeySelection } from '../../../commands/keys';
import { keyMenu } from '../../../commands/menus/figureMenus';
import { currentFrame, goTo } from '../../../playback/playhead';
import type { PointerSurface, PressHandler, ViewPointer } from '../../../render/pointerSession';
import { keysSelected } from '../../../store/editorSlice';
import type { AppStore, RootState } from '../../../store/store';
import { at, type Axis, isInSight, valueAt } from '../../../ui/axis';
import { ROW_PX } from './selectTracksWithKeys';
import { selectActiveMove } from '../../../store/selectors/active';

/** The keys of the active move under the unrolled arc: a row a track, each key where the figure is on its frame. */

/** Half of a finger's target along the row, pixels. */
const REACH_PX = 20;

/** A key of a row, and where on the ruler it stands. */
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

/** Keys as small posts with a foot, in the row that begins at `top`. */
export const rowPath = (keys: readonly PlacedKey[], axis: Axis, top: number): string =>
  keys
    .filter(({ arcDistance }) => isInSight(axis, arcDistance))
    .map(({ arcDistance }) => `M${(at(axis, arcDistance) - 1.5).toFixed(1)} ${top + 5}h3v12h3v2h-9v-2h3z`)
    .join('');

/** The key nearest to a place on a row, as far as a finger reaches; of those on one spot the one nearest to the playhead. */
function keyNear(keys: readonly PlacedKey[], axis: Axis, x: number): Key | null {
  let best: Key | null = null;
  let least = REACH_PX;
  for (const { key, arcDistance } of keys) {
    const away = Math.abs(at(axis, arcDistance) - x) + Math.abs(key.frame - currentFrame()) * 1e-6;
    if (away >= least) continue;
    least = away;
    best = key;
  }
  return best;
}

/** What a pointer does on the rows: drags a key along the arc to another frame, else the playhead; two taps add a key. */
export function keyRowsSurface(
  store: AppStore,
  tracks: readonly TrackName[],
  axis: Axis,
): PointerSurface<ViewPointer> {
  const trackAt = (y: number): TrackName =>
    tracks[Math.min(tracks.length - 1, Math.max(0, Math.floor(y / ROW_PX)))]!;
  const frameAt = (x: number, from: number): number =>
    selectRuler(store.getState())?.frameAt(valueAt(axis, x), from) ?? from;
  const look = ({ x }: ViewPointer): void => goTo(frameAt(x, currentFrame()));
  const keyAt = ({ x, y }: ViewPointer): Key | null =>
    keyNear(selectPlacedKeys(store.getState(), trackAt(y)), axis, x);
  const keyHandler = (track: TrackName, key: Key, start: ViewPointer): PressHandler<ViewPointer> => {
    const drag = createKeyDrag(store, track, key.id);
    // The key stays under the finger as it was taken; its frame follows it over holds and turns.
    const off = at(axis, selectRuler(store.getState())!.distanceOn(key.frame)) - start.x;
    let frame = key.frame;
    return {
      name: `key ${key.id}`,
      drag: ({ x }) => {
        frame = frameAt(x + off, frame);
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
  };
  return {
    pointer: (raw) => raw,
    menu: (start) => {
      const key = keyAt(start);
      return key && keyMenu(store, trackAt(start.y), key.frame);
    },
    press: (start) => {
      const track = trackAt(start.y);
      const key = keyAt(start);
      if (key) return keyHandler(track, key, start);
      return {
        name: `ground ${track}`,
        drag: look,
        tap: look,
        tapTwice: (now) => {
          look(now);
          store.dispatch(addKey(track, currentFrame()));
        },
      };
    },
  };
}
