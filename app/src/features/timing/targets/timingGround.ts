import { goTo } from '../../../playback/playhead';
import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import { marksSelected, rangePicked } from '../../../store/editorSlice';
import type { TimingView } from './timingView';

/** Empty ground: the playhead follows; with Shift, or where several are selected, a range is picked. */
export function timingGround(
  { store, frameAt }: Pick<TimingView, 'store' | 'frameAt'>,
  start: ViewPointer,
): PressHandler<ViewPointer> {
  if (start.isShift || store.getState().editor.isSelectingSeveral) {
    const began = frameAt(start);
    return {
      drag: (now) => {
        const reached = frameAt(now);
        const [from, until] = [Math.min(began, reached), Math.max(began, reached)];
        store.dispatch(rangePicked({ by: 'frames', from, until }));
      },
      tap: () => store.dispatch(rangePicked(null)),
    };
  }
  const look = (now: ViewPointer): void => goTo(frameAt(now));
  return {
    drag: look,
    tap: (now) => {
      store.dispatch(marksSelected([]));
      look(now);
    },
  };
}
