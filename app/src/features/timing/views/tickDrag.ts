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
  const began = meaning(start).place;
  return {
    drag: (now) => {
      const { place } = meaning(now);
      if (place === null || began === null || !tick) return;
      goTo(frame);
      drag?.to({ fraction: (tick.arcDistance + place - began) / (ruler.length || 1) });
    },
    tap: () => goTo(frame),
  };
}
