import { type Figure, lookOf } from '@humble/core';
import { Image, Path } from 'react-native-svg';
import { usePlayhead } from '../../../playback/playhead';
import { pictureAddress } from '../../../persistence/pictures';
import { useMissingPictures } from '../../../persistence/useMissingPictures';
import { usePixel } from '../../../render/pixel';
import { useAppStore } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { TONES } from '../../../ui/tones';
import { usePrefetched } from './usePrefetched';
import { useThrottledSelector } from '../../../store/throttled/hooks';

interface ArtworkProps {
  readonly figure: Figure;
  readonly drawingIn: (state: RootState) => number;
  readonly height: number;
}

const NONE: readonly never[] = [];

export function useDrawings({ artwork }: Figure) {
  const drawings = artwork.kind === 'pictures' ? artwork.drawings : NONE;
  usePrefetched(drawings);
  return useMissingPictures(drawings);
}

/** Which drawing is shown: it changes with the playhead as well as with the shot. */
export function useDrawingNumber(drawingIn: (state: RootState) => number): number {
  const store = useAppStore();
  usePlayhead(() => drawingIn(store.getState()));
  // A selector of its own for each render: it looks at the playhead, too, which is no part of the state.
  return useThrottledSelector((state) => drawingIn(state));
}

/** The artwork of a figure or a part in its own units: the drawing that belongs to the playhead, else a stand-in or an outline. */
export function ArtworkLayer(props: ArtworkProps) {
  // A stand-in looks the same on every frame: of a long chain each part would ask in vain.
  return props.figure.artwork.kind === 'pictures' ? <Drawings {...props} /> : <Outline {...props} />;
}

function Drawings(props: ArtworkProps) {
  const { figure, drawingIn } = props;
  const drawing = useDrawingNumber(drawingIn);
  const isMissing = useDrawings(figure);
  const look = lookOf(figure, drawing);
  if (!look.picture || isMissing) return <Outline {...props} drawing={drawing} />;
  return (
    <Image
      testID="figure-picture"
      href={pictureAddress(look.picture.sha256)}
      width={look.width}
      height={look.height}
      preserveAspectRatio="none"
    />
  );
}

interface OutlineProps extends Pick<ArtworkProps, 'figure' | 'height'> {
  readonly drawing?: number;
}

function Outline({ figure, height, drawing = 1 }: OutlineProps) {
  const pixel = usePixel();
  const look = lookOf(figure, drawing);
  // An outline of an even width, in units of the stand-in's own drawing.
  const outline = (1.5 * pixel * look.height) / height;
  return (
    <>
      <Path d={look.silhouette} fill={colour.ink} stroke={colour.field} strokeWidth={outline} />
      {look.details.map(({ d, tone }) => (
        <Path key={d} d={d} fill={TONES[tone]} />
      ))}
    </>
  );
}
