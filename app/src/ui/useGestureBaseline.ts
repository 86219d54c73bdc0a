import { useRef } from 'react';

/**
 * The value that something had when a gesture began: every edit of a gesture counts from there. Without
 * a gesture it is the value now.
 */
export function useGestureBaseline<Value>(now: Value): (gesture?: string) => Value {
  const held = useRef<{ readonly gesture: string; readonly start: Value } | null>(null);
  return (gesture) => {
    if (gesture === undefined) return now;
    if (held.current?.gesture !== gesture) held.current = { gesture, start: now };
    return held.current.start;
  };
}
