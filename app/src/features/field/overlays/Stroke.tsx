import { G } from 'react-native-svg';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { currentPointerScene } from '../pointerScene';
import { polyline } from './shapes';

export function Stroke() {
  const pixel = usePixel();
  const marquee = (): string => {
    const box = currentPointerScene().marquee;
    return box ? `M${box.from.x} ${box.from.y}H${box.to.x}V${box.to.y}H${box.from.x}Z` : '';
  };
  return (
    <G>
      <LivePath
        path={() => polyline(currentPointerScene().stroke)}
        fill="none"
        stroke={colour.indigo}
        strokeWidth={2 * pixel}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      <LivePath
        path={marquee}
        testID="marquee"
        fill={colour.brass}
        fillOpacity={0.12}
        stroke={colour.brass}
        strokeWidth={1.25 * pixel}
      />
    </G>
  );
}
