import type { ReactNode } from 'react';
import { View, type ViewStyle } from 'react-native';
import Svg, { Rect } from 'react-native-svg';

interface DrawingProps {
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  readonly children: ReactNode;
}

/** Says to the browser that nothing in there has a say in how the page is laid out. */
const CONTAINED = { contain: 'strict' } as ViewStyle;

/**
 * A drawing whose shapes change while something is dragged. It costs the page as little as it can: a change
 * does not lay out anything but the drawing (it is contained, and not an item of a flexible row or column),
 * and a clear sheet keeps its outermost bounds the same, so that the browser need not sort its layers anew.
 */
export function Drawing({ width, height, children }: DrawingProps) {
  return (
    <View className="block" style={{ width, height }}>
      <Svg width={width} height={height} style={CONTAINED}>
        <ClearSheet width={width} height={height} />
        {children}
      </Svg>
    </View>
  );
}

/** For parts of a drawing that have bounds of their own, too: those that are clipped. */
export function ClearSheet({ width, height }: Omit<DrawingProps, 'children'>) {
  return <Rect width={width} height={height} fill="none" />;
}
