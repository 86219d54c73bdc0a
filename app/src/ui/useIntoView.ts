import { type RefObject, useEffect } from 'react';
import type { View } from 'react-native';

/**
 * Scrolls a view into sight when it comes to be wanted. Web only.
 * @param isWanted whether it is
 * @param block how far: only until it is seen, or until it is at the top
 */
export function useIntoView(
  view: RefObject<View | null>,
  isWanted: boolean,
  block: 'nearest' | 'start' = 'nearest',
): void {
  useEffect(() => {
    if (!isWanted) return;
    const element = view.current as unknown as HTMLElement | null;
    element?.scrollIntoView?.({ block });
  }, [view, isWanted, block]);
}
