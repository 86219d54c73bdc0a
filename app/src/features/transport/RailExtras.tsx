import { frameOfSeconds } from '@humble/core/views';
import { memo } from 'react';
import Svg, { Path } from 'react-native-svg';
import { useSoundWave, wavePath } from '../../playback/soundWave';
import { activeFindingsIn } from '../../store/activeFindings';
import { useThrottledSelector, useThrottledShotValue } from '../../store/hooks';
import { colour } from '../../ui/colour';
import { findingMarks } from '../../ui/findingMarks';
import { along, frameAlong, SIDE } from './railSurface';

interface RailExtrasProps {
  readonly width: number;
  readonly height: number;
  readonly lengthFrames: number;
}

const WAVE_MIDDLE = 22;
const WAVE_HALF = 11;
/** Tips of findings lie so far above the foot of the rail, pixels. */
const FINDINGS_PX = 7;

/** What is heard and what was found, on the rail. */
export const RailExtras = memo(function RailExtras({ width, height, lengthFrames }: RailExtrasProps) {
  const wave = useSoundWave();
  const rate = useThrottledShotValue((shot) => shot.rate);
  const cues = useThrottledShotValue((shot) => shot.cues);
  const findings = useThrottledSelector(activeFindingsIn);
  const x = (frame: number): number => along(frame, lengthFrames, width);
  const secondsAt = (px: number): number => (frameAlong(px, lengthFrames, width) - 1) / rate;
  const heard = cues
    .map(({ seconds }) => frameOfSeconds(seconds, rate))
    .filter((frame) => frame <= lengthFrames)
    .map((frame) => `M${x(frame).toFixed(1)} 0v6`)
    .join('');
  return (
    <Svg width={width} height={height} style={{ position: 'absolute' }} pointerEvents="none">
      {wave && (
        <Path
          d={wavePath(wave, secondsAt, { start: SIDE, end: width - SIDE }, WAVE_MIDDLE, WAVE_HALF)}
          fill={colour.moss}
          fillOpacity={0.3}
          testID="rail-wave"
        />
      )}
      <Path d={heard} stroke={colour.moss} strokeWidth={2} testID="rail-cues" />
      <Path d={findingMarks(findings, x, height - FINDINGS_PX)} fill={colour.plum} testID="rail-findings" />
    </Svg>
  );
});
