import type { View } from 'react-native';

/** Scrolls the scrollers round something just so far that it can be seen. On the web a view is its element. */
export function bringIntoSight(view: View | null): void {
  (view as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' });
}
