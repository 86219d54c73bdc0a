import { useWindowDimensions } from 'react-native';

/** From this width on, the panel stands beside the field and the desk below it. */
const WIDE_FROM = 1024;
/** A window lower than this has no room for a panel beneath the field. */
const LOW_BELOW = 500;

/**
 * How a window is laid out: a `phone` from top to bottom; one that lies on its `side` with the panel beside the
 * field; a `wide` screen with the panel beside it and the desk below.
 */
export type Layout = 'phone' | 'side' | 'wide';

export function layoutOf(width: number, height: number): Layout {
  if (height < LOW_BELOW && width > height) return 'side';
  return width >= WIDE_FROM ? 'wide' : 'phone';
}

/** The layout that applies, and the window's size in pixels. */
export function useLayout() {
  const { width, height } = useWindowDimensions();
  const layout = layoutOf(width, height);
  return { layout, isWide: layout === 'wide', width, height };
}
