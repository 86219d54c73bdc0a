import { pictureSeenOn, standingPictures } from '@humble/core/shoot';
import { memo, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { shallowEqual } from 'react-redux';
import { useCamera } from '../../cameras/cameraSession';
import { pictureAddress } from '../../persistence/pictures';
import { currentFrame, subscribePlayhead } from '../../playback/playhead';
import { useShownInField } from '../../playback/shownInField';
import type { FieldLayerProps } from '../../render/fieldLayer';
import { useSettings } from '../../store/hooks';
import { selectOpenShot } from '../../store/selectors/active';
import type { RootState } from '../../store/store';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';
import { ElementHost } from '../../ui/ElementHost';
import { useIsFlipped } from './flipLive';
import { fetchTaken, forgetTakenBut, takenBitmap } from '../../playback/takenBitmaps';

/** The picture of the set in the field: the live one with the last over it, or those that were taken. */
export const SetPicture = memo(function SetPicture({ projection }: FieldLayerProps) {
  const shown = useShownInField();
  const { width, height } = useThrottledShotValue((shot) => shot.field);
  const at = {
    ...projection.offset,
    width: width * projection.scale,
    height: height * projection.scale,
  };
  return (
    <View className="absolute inset-0" pointerEvents="none">
      {shown === 'live' && <Live at={at} />}
      {shown === 'picture' && <Taken at={at} />}
    </View>
  );
});

interface PlaceProps {
  readonly at: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

function Live({ at }: PlaceProps) {
  const live = useCamera(({ camera }) => camera?.live ?? null);
  const { onion } = useSettings();
  const isFlipped = useIsFlipped();
  const last = useThrottledShotValue((shot) => standingPictures(shot).at(-1)?.picture.sha256);
  const strength = isFlipped ? 1 : onion;
  return (
    <>
      {live && <ElementHost element={live} at={at} testID="live-picture" />}
      {last && strength > 0 && <Onion key={last} sha256={last} at={at} strength={strength} />}
    </>
  );
}

interface OnionProps extends PlaceProps {
  readonly sha256: string;
  readonly strength: number;
}

function Onion({ sha256, at, strength }: OnionProps) {
  const element = useMemo(
    () => Object.assign(document.createElement('img'), { src: pictureAddress(sha256) }),
    [sha256],
  );
  return <ElementHost element={element} at={at} opacity={strength} testID="last-picture" />;
}

const selectStanding = (state: RootState) => standingPictures(selectOpenShot(state));

/** The picture of the playhead's frame, drawn the moment that the playhead comes to it. */
function Taken({ at }: PlaceProps) {
  const pictures = useThrottledSelector(selectStanding, shallowEqual);
  const canvas = useMemo(() => Object.assign(document.createElement('canvas'), { width: 1, height: 1 }), []);
  const [context] = useState(() => canvas.getContext('2d')!);
  useEffect(() => {
    const shas = pictures.map(({ picture }) => picture.sha256);
    forgetTakenBut(new Set(shas));
    let drawn = '';
    const draw = (): void => {
      const sha256 = pictureSeenOn(pictures, currentFrame())?.picture.sha256;
      if (!sha256 || sha256 === drawn) return;
      const bitmap = takenBitmap(sha256, draw);
      if (!bitmap) return;
      drawn = sha256;
      const { width, height } = bitmap;
      if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
      canvas.dataset.picture = sha256;
      context.drawImage(bitmap, 0, 0);
    };
    draw();
    const ends = [subscribePlayhead(draw), fetchTaken(shas)];
    return () => ends.forEach((end) => end());
  }, [canvas, context, pictures]);
  return <ElementHost element={canvas} at={at} testID="taken-picture" />;
}
