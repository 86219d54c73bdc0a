import type { Key, TrackName } from '@humble/core';
import { addKey, createKeyDrag, toggleKeySelection } from '../../../commands/keys';
import { keyMenu } from '../../../commands/menus/figureMenus';
import { currentFrame, goTo } from '../../../playback/playhead';
import type { PointerSurface, ViewPointer } from '../../../render/pointerSession';
import type { AppStore } from '../../../store/store';
import { valueAt } from '../../../ui/axis';
import { selectTrack } from './selectTrack';
import { keyNear, type TrackAxes } from './trackPaths';

/** What a drag of a key strays less than this to the side does not count, pixels: one moves it in time or in value. */
const STRAY_PX = 8;

const settled = (pixels: number, from: number): number =>
  from + Math.sign(pixels - from) * Math.max(0, Math.abs(pixels - from) - STRAY_PX);

/** What a pointer does on the strip of a track: drags a key, else the playhead; two taps add a key. */
export function trackSurface(
  store: AppStore,
  track: TrackName,
  axes: TrackAxes,
): PointerSurface<ViewPointer> {
  const { time, value } = axes;
  const frameAt = ({ x }: ViewPointer): number => Math.round(valueAt(time, x));
  const look = (now: ViewPointer): void => goTo(frameAt(now));
  const keyHandler = (key: Key, start: ViewPointer) => {
    const drag = createKeyDrag(store, track, key.id);
    return {
      name: `key ${key.id}`,
      drag: (now: ViewPointer): void =>
        drag?.by(
          valueAt(time, settled(now.x, start.x)) - valueAt(time, start.x),
          valueAt(value, settled(now.y, start.y)) - valueAt(value, start.y),
        ),
      tap: (): void => {
        if (start.isShift) store.dispatch(toggleKeySelection(track, key.id));
        else goTo(key.frame);
      },
    };
  };
  return {
    pointer: (raw) => raw,
    menu: (start) => {
      const key = keyNear(selectTrack(store.getState(), track)?.keys ?? [], axes, start);
      return key && keyMenu(store, track, key.frame);
    },
    press: (start) => {
      const keys = selectTrack(store.getState(), track)?.keys ?? [];
      const key = keyNear(keys, axes, start);
      if (key) return keyHandler(key, start);
      return {
        name: 'ground',
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
