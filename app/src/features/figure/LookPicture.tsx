import type { Look } from '@humble/core';
import Svg, { Image, Path } from 'react-native-svg';
import { pictureAddress } from '../../persistence/pictures';
import { colour } from '../../ui/colour';
import { TONES } from '../../ui/tones';

interface LookPictureProps {
  readonly look: Pick<Look, 'width' | 'height' | 'silhouette' | 'details' | 'picture'>;
  /** Side of the square that it is shown in, pixels. */
  readonly size: number;
}

export const LookPicture = ({ look, size }: LookPictureProps) => (
  <Svg width={size} height={size} viewBox={`0 0 ${look.width} ${look.height}`}>
    <LookShapes look={look} />
  </Svg>
);

/** A look within an SVG, in its own units. */
export const LookShapes = ({
  look: { width, height, silhouette, details, picture },
}: Pick<LookPictureProps, 'look'>) =>
  picture ? (
    <Image href={pictureAddress(picture.sha256)} width={width} height={height} preserveAspectRatio="none" />
  ) : (
    <>
      <Path d={silhouette} fill={colour.ink} />
      {details.map(({ d, tone }) => (
        <Path key={d} d={d} fill={TONES[tone]} />
      ))}
    </>
  );
