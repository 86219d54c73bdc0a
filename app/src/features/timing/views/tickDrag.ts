import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import { goTo } from '../../../playback/playhead';
import { createTickDrag } from '../../../commands/timing';
import type { DragOptions } from './viewDrags';

export function tickDrag(
  { store, ruler, meaning }: DragOptions,
  frame: number,
  start: ViewPointer,
): PressHandler<ViewPointer> {
  const drag = createTickDrag(store, frame);
  const tick = ruler.ticks.find((one) => one.frame === frame);
  const began = meaning(start).arcDistance;
  return {
    drag: (now) => {
      const { arcDistance } = meaning(now);
      if (arcDistance === null || began === null || !tick) return;
      goTo(frame);
      drag?.to({ fraction: (tick.arcDistance + arcDistance - began) / (ruler.length || 1) });
    },
    tap: () => goTo(frame),
  };
}
