import type { RulerTick, UnrolledArc } from '@humble/core/views';
import { createChunkedPath, type Chunk } from '../../../render/chunkedPath';
import type { RootState } from '../../../store/store';
import { selectTiming } from './selectTiming';
import { lruMemoize } from '@reduxjs/toolkit';

/** A live path that follows the active move's ruler; worked out again only when that changes. */
export function followRuler(work: (ruler: UnrolledArc) => string): (state: RootState) => string {
  const kept = lruMemoize(work);
  return (state) => {
    const ruler = selectTiming(state)?.ruler;
    return ruler ? kept(ruler) : '';
  };
}

export function followMarks(
  work: (ruler: UnrolledArc, selectedIds: readonly string[]) => string,
): (state: RootState) => string {
  const kept = lruMemoize(work);
  return (state) => {
    const ruler = selectTiming(state)?.ruler;
    return ruler ? kept(ruler, state.editor.selectedMarkIds) : '';
  };
}

const isSameTick: (a: RulerTick, b: RulerTick) => boolean = Object.is;

const NOTHING: readonly string[] = [];

/**
 * A long path that follows the ticks of the active move, in pieces.
 * @param scaleOf what the path depends on besides its ticks
 */
export function followTicks(
  write: (ticks: ArrayLike<RulerTick>, piece: Chunk, scale: number) => string,
  scaleOf: (ruler: UnrolledArc) => number = () => 1,
): (state: RootState) => readonly string[] {
  const pieces = createChunkedPath<RulerTick, number>({ write, isSame: isSameTick });
  return (state) => {
    const ruler = selectTiming(state)?.ruler;
    return ruler ? pieces(ruler.ticks, scaleOf(ruler)) : NOTHING;
  };
}
