import { useEffect, useState } from 'react';

/** How long what is shown may lag behind while it changes all the time, milliseconds. */
const CALM_MS = 120;

/**
 * A value that follows at most a few times a second: for numbers beside something that is dragged, which
 * must never wait for them. The last one always comes.
 */
export function useCalm<Value>(value: Value): Value {
  const [shown, setShown] = useState({ value, at: 0 });
  useEffect(() => {
    if (shown.value === value) return;
    const wait = Math.max(0, shown.at + CALM_MS - performance.now());
    const later = setTimeout(() => setShown({ value, at: performance.now() }), wait);
    return () => clearTimeout(later);
  }, [value, shown]);
  return shown.value;
}
