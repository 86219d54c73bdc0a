import { type Backdrop, pictureOn, type Plane, planesOf, type Shot } from '@humble/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { G, Image } from 'react-native-svg';
import { usePlayhead } from '../../../playback/playhead';
import { pictureAddress } from '../../../persistence/pictures';
import { Laid } from '../cameraSeen';
import { usePrefetched } from './usePrefetched';
import { useThrottledShotValue } from '../../../store/throttled/hooks';

/** The pictures in depth behind the figures, the furthest first: where the camera rests they look as they are placed. */
export const BackdropPicture = memo(function BackdropPicture() {
  const planes = useThrottledShotValue(behindOf, shallowEqual);
  return planes.map((plane, i) => <PlanePicture key={'id' in plane ? plane.id : i} plane={plane} />);
});

/** Those in front of the figures. */
export const PlanesInFront = memo(function PlanesInFront() {
  const planes = useThrottledShotValue(beforeOf, shallowEqual);
  return planes.map((plane) => <PlanePicture key={'id' in plane ? plane.id : ''} plane={plane} />);
});

const behindOf = (shot: Shot): readonly AnyPlane[] => planesOf(shot).filter(({ distance }) => distance >= 1);
const beforeOf = (shot: Shot): readonly AnyPlane[] => planesOf(shot).filter(({ distance }) => distance < 1);

export const hasPlanesInFront = (shot: Shot): boolean => beforeOf(shot).length > 0;

type AnyPlane = Backdrop | Plane;

function PlanePicture({ plane }: { readonly plane: AnyPlane }) {
  const sha256 = usePlayhead(({ frame }) => pictureOn(plane, frame).sha256);
  usePrefetched(plane.pictures);
  const picture = plane.pictures.find((candidate) => candidate.sha256 === sha256);
  if (!picture) return null;
  const height = (plane.width * picture.height) / picture.width;
  return (
    <Laid distance={plane.distance}>
      <G transform={`translate(${plane.x} ${plane.y}) rotate(${plane.turnDeg})`} opacity={plane.strength}>
        <Image
          testID={'id' in plane ? 'plane' : 'backdrop'}
          href={pictureAddress(sha256)}
          x={-plane.width / 2}
          y={-height / 2}
          width={plane.width}
          height={height}
          preserveAspectRatio="none"
        />
      </G>
    </Laid>
  );
}
