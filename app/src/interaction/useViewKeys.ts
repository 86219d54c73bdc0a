import { focusedKeys, keyHandler } from '../commands/keyHandler';
import { nudge } from '../commands/nudges';
import { deleteSelectedMarks, selectNextMark } from '../commands/timing';
import { useAppDispatch } from '../store/hooks';
import type { ZoomedAxis } from './interactiveSurface';

const ZOOM_STEP = 1.6;

export function useViewKeys(zooms: readonly ZoomedAxis[] = []): object {
  const dispatch = useAppDispatch();
  const zoomBy = (factor: number): boolean => {
    for (const { zoom, focus } of zooms) zoom.by(factor, focus());
    return zooms.length > 0;
  };
  const zoomIn = () => zoomBy(ZOOM_STEP);
  const remove = (): void => dispatch(deleteSelectedMarks());
  return focusedKeys(
    keyHandler('views', {
      nextMark: () => dispatch(selectNextMark(1)),
      previousMark: () => dispatch(selectNextMark(-1)),
      nudge: ({ key }) => dispatch(nudge(key, false)),
      nudgeFar: ({ key }) => dispatch(nudge(key, true)),
      remove,
      removeToo: remove,
      zoomIn,
      zoomInToo: zoomIn,
      zoomOut: () => zoomBy(1 / ZOOM_STEP),
      fit: () => {
        for (const { zoom } of zooms) zoom.fit();
        return zooms.length > 0;
      },
    }),
  );
}
