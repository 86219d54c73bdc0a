import { memo } from 'react';
import { G, Path, Rect } from 'react-native-svg';
import { useSettings } from '../../../store/hooks';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { useThrottledShotValue } from '../../../store/throttled/hooks';

export const PaperLayer = memo(function Paper() {
  const { width, height } = useThrottledShotValue((shot) => shot.field);
  const pixel = usePixel();
  return (
    <Rect
      testID="field-paper"
      x={0}
      y={0}
      width={width}
      height={height}
      fill={colour.field}
      stroke={colour.line}
      strokeWidth={pixel}
    />
  );
});

/** Lines of a grid nearer than this to each other would be a grey mist, pixels. */
const MIN_GAP_PX = 6;
/** Shares of the field that the two safe margins leave free on each side. */
const SAFE_MARGINS = [0.05, 0.1];

const box = (width: number, height: number, margin: number): string => {
  const [x, y] = [width * margin, height * margin];
  return `M${x} ${y}H${width - x}V${height - y}H${x}Z`;
};

export const Grid = memo(function Grid() {
  const { width, height } = useThrottledShotValue((shot) => shot.field);
  const { showsGrid, showsMargins, gridSize } = useSettings();
  const pixel = usePixel();
  const lines: string[] = [];
  if (showsGrid && gridSize >= MIN_GAP_PX * pixel) {
    for (let x = gridSize; x < width; x += gridSize) lines.push(`M${x} 0V${height}`);
    for (let y = gridSize; y < height; y += gridSize) lines.push(`M0 ${y}H${width}`);
  }
  return (
    <G>
      {lines.length > 0 && (
        <Path
          testID="grid"
          d={lines.join('')}
          stroke={colour.soft}
          strokeWidth={pixel}
          opacity={0.28}
          fill="none"
        />
      )}
      {showsMargins && (
        <Path
          testID="safe-margins"
          d={SAFE_MARGINS.map((margin) => box(width, height, margin)).join('')}
          stroke={colour.soft}
          strokeWidth={pixel}
          strokeDasharray={[6 * pixel, 4 * pixel]}
          opacity={0.7}
          fill="none"
        />
      )}
    </G>
  );
});
