import type { Passage } from '@humble/core';
import { createEdgeDrag } from '../../../commands/passages';
import { defineTarget } from '../../../interaction/target';
import { goTo } from '../../../playback/playhead';
import type { GraphTimingView } from './timingView';

interface PassageEdge {
  readonly passage: Passage;
  readonly edge: 'from' | 'until';
}

export const edgeTarget = defineTarget<GraphTimingView, PassageEdge>({
  kind: 'edge',
  leadPx: 3,
  reachPx: ({ reachPx }) => reachPx,
  items: ({ edges }) => edges,
  press: ({ store, meaning }, { passage, edge }, start) => {
    const drag = createEdgeDrag(store, passage, edge);
    const began = meaning(start).frame ?? 0;
    return {
      drag: (pointer) => drag.by((meaning(pointer).frame ?? 0) - began),
      tap: () => goTo(passage[edge]),
    };
  },
});
