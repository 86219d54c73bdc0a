import { drawingOfTravel } from '@humble/core/views';
import { useThrottledFrame } from '../../playback/playhead';
import { selectActiveTravel } from '../../store/selectors/selection';
import { useThrottledSelector } from '../../store/throttled/hooks';

/** The drawing of the active figure at the playhead, from 1; 0 where it is not shown. */
export function useShownDrawing(): number {
  const frame = useThrottledFrame();
  return useThrottledSelector((state) => {
    const travel = selectActiveTravel(state);
    return travel ? drawingOfTravel(travel, Math.min(frame, travel.arcDistance.length)) : 1;
  });
}
