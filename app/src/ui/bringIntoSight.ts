import type { View } from 'react-native';

export function bringIntoSight(view: View | null): void {
  (view as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' });
}
