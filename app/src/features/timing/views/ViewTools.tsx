import Maximize from 'lucide-react-native/icons/maximize';
import ZoomIn from 'lucide-react-native/icons/zoom-in';
import ZoomOut from 'lucide-react-native/icons/zoom-out';
import { View } from 'react-native';
import { IconButton } from '../../../ui/Button';
import type { Zoom } from './useZoom';

const STEP = 1.6;

/** Closer, further, all of it. @param of what is zoomed, for screen readers */
export function ViewTools({ zoom, of }: { readonly zoom: Zoom; readonly of: string }) {
  return (
    <View className="flex-row">
      <IconButton
        label={`Further from the ${of}`}
        icon={ZoomOut}
        disabled={!zoom.isZoomed}
        onPress={() => zoom.by(1 / STEP)}
      />
      <IconButton label={`Closer to the ${of}`} icon={ZoomIn} onPress={() => zoom.by(STEP)} />
      <IconButton label={`All of the ${of}`} icon={Maximize} disabled={!zoom.isZoomed} onPress={zoom.fit} />
    </View>
  );
}

/** Keys of a view that has the focus: plus, minus and nought zoom. @returns whether the key was one of them */
export function zoomKey(key: string, zooms: readonly Zoom[]): boolean {
  if (key !== '+' && key !== '=' && key !== '-' && key !== '0') return false;
  zooms.forEach((zoom) => (key === '0' ? zoom.fit() : zoom.by(key === '-' ? 1 / STEP : STEP)));
  return true;
}
