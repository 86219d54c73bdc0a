import type { ReactNode } from 'react';
import { View, type ViewStyle } from 'react-native';

interface PaneProps {
  readonly children: ReactNode;
  /** Of the pane among its neighbours: it must be given its size there. */
  readonly style?: ViewStyle;
  readonly className?: string;
  readonly innerClassName?: string;
}

/** What happens in there has no say in how the rest of the page is laid out. */
const CONTAINED = { contain: 'size layout style', width: '100%', height: '100%' } as ViewStyle;

/**
 * A part of the page with a size of its own. When something in it changes the browser lays out the pane alone;
 * for that it must not be an item of a flexible row itself, hence the box around it.
 */
export function Pane({ children, style, className = '', innerClassName = '' }: PaneProps) {
  return (
    <View style={style} className={`block ${className}`}>
      <View style={CONTAINED} className={innerClassName}>
        {children}
      </View>
    </View>
  );
}
