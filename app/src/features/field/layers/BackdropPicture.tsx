import { pictureOn } from '@humble/core';
import { memo } from 'react';
import { G, Image } from 'react-native-svg';
import { usePlayhead } from '../../../playback/playhead';
import { pictureAddress } from '../../../persistence/pictures';
import { usePrefetched } from './usePrefetched';
import { useThrottledShotValue } from '../../../store/throttled/hooks';

export const BackdropPicture = memo(function BackdropPicture() {
  const backdrop = useThrottledShotValue((shot) => shot.backdrop);
  const sha256 = usePlayhead(({ frame }) => (backdrop ? pictureOn(backdrop, frame).sha256 : ''));
  usePrefetched(backdrop?.pictures);
  if (!backdrop || backdrop.hidden) return null;
  const picture = backdrop.pictures.find((candidate) => candidate.sha256 === sha256);
  if (!picture) return null;
  const height = (backdrop.width * picture.height) / picture.width;
  return (
    <G
      transform={`translate(${backdrop.x} ${backdrop.y}) rotate(${backdrop.turnDeg})`}
      opacity={backdrop.strength}
    >
      <Image
        testID="backdrop"
        href={pictureAddress(sha256)}
        x={-backdrop.width / 2}
        y={-height / 2}
        width={backdrop.width}
        height={height}
        preserveAspectRatio="none"
      />
    </G>
  );
});
