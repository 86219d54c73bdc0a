import { useWindowDimensions } from 'react-native';

/** From this width on, the panel stands beside the field and the desk below it. */
const WIDE_FROM = 1024;

/** Whether the wide layout applies, and the window's size in pixels. */
export function useLayout() {
  const { width, height } = useWindowDimensions();
  return { isWide: width >= WIDE_FROM, width, height };
}
