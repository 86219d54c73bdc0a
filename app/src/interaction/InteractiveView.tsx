import { type ReactNode, useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import { useViewPointer } from '../playback/useViewPointer';
import type { LiveView } from '../render/frameScheduler';
import type { PointerSurface, ViewPointer } from '../render/pointerSession';
import { useWheel } from '../ui/useWheel';
import { type ZoomedAxis, zoomByWheel } from './interactiveSurface';

interface InteractiveViewProps {
  readonly testID: string;
  /** What it is and shows, for screen readers; null for one whose parts say so and take the keys. */
  readonly label: string | null;
  /** The view that follows every frame while something is held; null for one without live shapes. */
  readonly liveView: LiveView | null;
  readonly surface: PointerSurface<ViewPointer>;
  readonly zooms?: readonly ZoomedAxis[];
  readonly keys?: object;
  readonly touchAction?: 'none' | 'pan-y';
  readonly height: number;
  /** As wide as there is room without it. */
  readonly width?: number;
  readonly onWidth?: (width: number) => void;
  readonly className: string;
  readonly children: (width: number) => ReactNode;
}

/** A view on which things lie that can be taken hold of: a pointer, the wheel and keys work on it. */
export function InteractiveView({
  testID,
  label,
  liveView,
  surface,
  zooms = [],
  keys,
  touchAction = 'none',
  height,
  width: fixedWidth,
  onWidth,
  className,
  children,
}: InteractiveViewProps) {
  const element = useRef<View>(null);
  const [measured, setMeasured] = useState(0);
  const gesture = useViewPointer<ViewPointer>(element, liveView, surface);
  useWheel(zooms.length > 0 ? element : null, (at, factor) => zoomByWheel(zooms, at, factor));
  const width = fixedWidth ?? measured;
  return (
    <GestureDetector gesture={gesture} touchAction={touchAction}>
      <View
        ref={element}
        collapsable={false}
        testID={testID}
        {...(label !== null && { role: 'application', tabIndex: 0, 'aria-label': label })}
        onLayout={({ nativeEvent }) => {
          setMeasured(nativeEvent.layout.width);
          onWidth?.(nativeEvent.layout.width);
        }}
        style={{ height, ...(fixedWidth !== undefined && { width: fixedWidth }) }}
        className={className}
        {...keys}
      >
        {width > 0 && children(width)}
      </View>
    </GestureDetector>
  );
}
