import type { Post } from '@humble/core/views';
import { markMenu } from '../../../commands/menus/timingMenus';
import { createMarkDrag } from '../../../commands/timing';
import { defineTarget } from '../../../interaction/target';
import { goTo } from '../../../playback/playhead';
import { marksSelected } from '../../../store/editorSlice';
import type { TimingView } from './timingView';

const postsOf = ({ now, splitsPosts }: TimingView): readonly Post[] =>
  splitsPosts
    ? now.ruler.posts.flatMap((post) =>
        post.markIds.map((id, i) => ({ ...post, markIds: [id], frame: post.frames[i]! })),
      )
    : now.ruler.posts;

export const markTarget = defineTarget<TimingView, Post>({
  kind: 'mark',
  leadPx: 6,
  reachPx: ({ reachPx }) => reachPx,
  items: (view) =>
    postsOf(view).flatMap((post) => {
      const at = view.place(post);
      return at ? [{ ...post, ...at }] : [];
    }),
  menu: ({ store }, { markIds }) => markMenu(store, markIds),
  press: ({ store, now, markMeaning }, { markIds, frame }, start) => {
    const { selectedMarkIds: before, isSelectingSeveral } = store.getState().editor;
    const isJoining = start.isShift || isSelectingSeveral;
    const wasSelected = markIds.every((id) => before.includes(id));
    const dragged = wasSelected || isJoining ? [...new Set([...before, ...markIds])] : markIds;
    const drag = createMarkDrag(store, dragged, markIds[0]!);
    const began = markMeaning(start, start);
    const held = now.move.marks.find(({ id }) => id === markIds[0]);
    let isFirst = true;
    return {
      drag: (pointer) => {
        if (isFirst) store.dispatch(marksSelected(dragged));
        isFirst = false;
        const { frame: toFrame, arcDistance } = markMeaning(pointer, start);
        drag?.to({
          ...(toFrame !== null && began.frame !== null && { frame: frame + toFrame - began.frame }),
          ...(arcDistance !== null &&
            began.arcDistance !== null &&
            held &&
            !held.pointId && {
              fraction: held.fraction + (arcDistance - began.arcDistance) / (now.ruler.length || 1),
            }),
        });
      },
      tap: () => {
        if (isJoining && wasSelected)
          store.dispatch(marksSelected(before.filter((id) => !markIds.includes(id))));
        else store.dispatch(marksSelected(isJoining ? [...before, ...markIds] : markIds));
        if (!isJoining) goTo(frame);
      },
    };
  },
});
