import type { Post, RulerTick } from '@humble/core/views';
import { pictureMenu } from '../../../commands/menus/timingMenus';
import { createTickDrag } from '../../../commands/timing';
import { defineTarget } from '../../../interaction/target';
import { goTo } from '../../../playback/playhead';
import type { TimingView } from './timingView';

const draggable = (ticks: readonly RulerTick[], posts: readonly Post[]): RulerTick[] =>
  ticks.filter(({ frame }) =>
    posts.some(({ untilFrame }, i) => frame > untilFrame && frame < (posts[i + 1]?.frame ?? -Infinity)),
  );

export const tickTarget = defineTarget<TimingView, RulerTick>({
  kind: 'tick',
  reachPx: ({ reachPx }) => reachPx,
  items: ({ now, place }) =>
    draggable(now.ruler.ticks, now.ruler.posts).flatMap((tick) => {
      const at = place(tick);
      return at ? [{ ...tick, ...at }] : [];
    }),
  menu: ({ store }, { frame }) => pictureMenu(store, frame),
  press: ({ store, now, meaning }, { frame, arcDistance }, start) => {
    // With Shift a range is picked, beginning here.
    if (start.isShift || store.getState().editor.isSelectingSeveral) return null;
    const drag = createTickDrag(store, frame);
    const began = meaning(start).arcDistance;
    return {
      drag: (pointer) => {
        const { arcDistance: reached } = meaning(pointer);
        if (reached === null || began === null) return;
        goTo(frame);
        drag?.to({ fraction: (arcDistance + reached - began) / (now.ruler.length || 1) });
      },
      tap: () => goTo(frame),
    };
  },
});
