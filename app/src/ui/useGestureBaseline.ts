import { useRef } from 'react';

/**
 * The value that something had when a gesture began: every edit of a gesture counts from there. Without
 * a gesture it is the value now.
 */
export function useGestureBaseline<Value>(now: Value): (undoGroup?: string) => Value {
  const held = useRef<{ readonly undoGroup: string; readonly start: Value } | null>(null);
  return (undoGroup) => {
    if (undoGroup === undefined) return now;
    if (held.current?.undoGroup !== undoGroup) held.current = { undoGroup, start: now };
    return held.current.start;
  };
}
