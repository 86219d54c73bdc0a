import type { Key, TrackName } from '@humble/core';
import { addKey, createKeyDrag, toggleKeySelection } from '../../../commands/keys';
import { keyMenu } from '../../../commands/menus/figureMenus';
import { interactiveSurface } from '../../../interaction/interactiveSurface';
import { defineTarget, type Target } from '../../../interaction/target';
import { currentFrame, goTo } from '../../../playback/playhead';
import type { PointerSurface, PressHandler, ViewPointer } from '../../../render/pointerSession';
import type { AppStore } from '../../../store/store';
import { at, valueAt } from '../../../ui/axis';
import { selectTrack } from './selectTrack';
import type { TrackAxes } from './trackPaths';

export interface TrackView {
  readonly store: AppStore;
  readonly track: TrackName;
  readonly axes: TrackAxes;
}

/** A key is taken from so far away, pixels. */
const REACH_PX = 20;

/** What a drag of a key strays less than this to the side does not count, pixels: one moves it in time or in value. */
const STRAY_PX = 8;

const settled = (pixels: number, from: number): number =>
  from + Math.sign(pixels - from) * Math.max(0, Math.abs(pixels - from) - STRAY_PX);

export const keyTarget = defineTarget<TrackView, Key>({
  kind: 'key',
  reachPx: () => REACH_PX,
  items: ({ store, track, axes: { time, value } }) =>
    (selectTrack(store.getState(), track)?.keys ?? []).map((key) => ({
      ...key,
      x: at(time, key.frame),
      y: at(value, key.value),
    })),
  menu: ({ store, track }, { frame }) => keyMenu(store, track, frame),
  press: ({ store, track, axes: { time, value } }, { id, frame }, start) => {
    const drag = createKeyDrag(store, track, id);
    return {
      name: `key ${id}`,
      drag: (now) =>
        drag?.by(
          valueAt(time, settled(now.x, start.x)) - valueAt(time, start.x),
          valueAt(value, settled(now.y, start.y)) - valueAt(value, start.y),
        ),
      tap: () => {
        if (start.isShift) store.dispatch(toggleKeySelection(track, id));
        else goTo(frame);
      },
    };
  },
});

const TRACK_TARGETS: readonly Target<TrackView>[] = [keyTarget];

/** Beside the keys the playhead is dragged; two taps add a key. */
export function keysGround(
  { store, track }: Pick<TrackView, 'store' | 'track'>,
  look: (now: ViewPointer) => void,
): PressHandler<ViewPointer> {
  return {
    name: `ground ${track}`,
    drag: look,
    tap: look,
    tapTwice: (now) => {
      look(now);
      store.dispatch(addKey(track, currentFrame()));
    },
  };
}

export const trackSurface = (
  store: AppStore,
  track: TrackName,
  axes: TrackAxes,
): PointerSurface<ViewPointer> =>
  interactiveSurface<TrackView>({
    view: () => ({ store, track, axes }),
    targets: TRACK_TARGETS,
    ground: (view) => keysGround(view, ({ x }) => goTo(Math.round(valueAt(axes.time, x)))),
  });
