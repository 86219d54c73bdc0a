import { Circle, Rect } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LiveGroup, LivePath } from '../../../playback/liveShapes';
import { selectFigureKnob } from '../figureKnob';
import { useThrottledSelector } from '../../../store/throttled/hooks';

const RADIUS_PX = 7;

export function FigureKnobOverlay() {
  const pixel = usePixel();
  const track = useThrottledSelector((state) => selectFigureKnob(state)?.track ?? null);
  if (track === null) return null;
  const transform = (state: RootState): string => {
    const knob = selectFigureKnob(state);
    return knob ? `translate(${knob.at.x} ${knob.at.y})` : 'scale(0)';
  };
  const line = (state: RootState): string => {
    const knob = selectFigureKnob(state);
    return knob ? `M${knob.pivot.x} ${knob.pivot.y}L${knob.at.x} ${knob.at.y}` : '';
  };
  const radius = RADIUS_PX * pixel;
  const look = { fill: colour.card, stroke: colour.indigo, strokeWidth: 2 * pixel };
  return (
    <>
      <LivePath path={line} stroke={colour.indigo} strokeWidth={pixel} strokeOpacity={0.6} fill="none" />
      <LiveGroup transform={transform} testID={`figure-${track}-knob`}>
        {track === 'offset' ? (
          <Circle r={1.6 * radius} {...look} fill="none" />
        ) : track === 'turn' ? (
          <Circle r={radius} {...look} />
        ) : (
          <Rect x={-radius} y={-radius} width={2 * radius} height={2 * radius} {...look} />
        )}
      </LiveGroup>
    </>
  );
}
