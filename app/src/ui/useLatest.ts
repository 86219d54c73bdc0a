import { useLayoutEffect, useState } from 'react';

/**
 * A getter of the latest value, the same function for the life of the component: for gestures and
 * listeners that are made once and outlive a render.
 */
export function useLatest<Value>(value: Value): () => Value {
  const [cell] = useState(() => {
    let current = value;
    return {
      get: () => current,
      set: (next: Value) => {
        current = next;
      },
    };
  });
  useLayoutEffect(() => cell.set(value));
  return cell.get;
}
