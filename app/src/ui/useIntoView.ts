import { type RefObject, useEffect } from 'react';
import type { View } from 'react-native';

/** Scrolls a view into sight when it comes to be wanted. Web only. @param isWanted whether it is */
export function useIntoView(view: RefObject<View | null>, isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted) return;
    const element = view.current as unknown as HTMLElement | null;
    element?.scrollIntoView?.({ block: 'nearest' });
  }, [view, isWanted]);
}
