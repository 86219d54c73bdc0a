import type { Shot, Vector } from '@humble/core';
import type { SceneItem } from '@humble/core/scene';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { fileFormats } from '../../../commands/fileFormats';
import { type Bitmaps, bitmapsOf } from '../../../persistence/bitmaps';
import { Canvas } from '../../../ui/Canvas';
import { Drawing } from '../../../ui/Drawing';
import { useLatest } from '../../../ui/useLatest';
import { drawScene } from '../../../workers/preview/drawScene';

interface CameraPictureProps {
  readonly shot: Shot;
  readonly items: readonly SceneItem[];
  readonly label: string;
  readonly testID: string;
  /** Told of a tap, in field units; nothing can be tapped without it. */
  readonly onTap?: (at: Vector) => void;
  /** What is drawn over it, in field units. */
  readonly over?: (pixel: number) => React.ReactNode;
}

const PIXELS = 2;

/** A scene of the shot in the panel: all of it, or what the camera sees. */
export function CameraPicture({ shot, items, label, testID, onTap, over }: CameraPictureProps) {
  const { field } = shot;
  const [width, setWidth] = useState(0);
  const height = (width * field.height) / field.width;
  const [images, setImages] = useState<Bitmaps | null>(null);
  const canvas = useRef<HTMLCanvasElement | null>(null);
  const live = useLatest({ width, onTap, field });
  const tap = useMemo(
    () =>
      Gesture.Pan()
        .runOnJS(true)
        .minDistance(0)
        .onBegin(({ x, y }) => {
          const now = live();
          const k = now.field.width / now.width;
          now.onTap?.({ x: x * k, y: y * k });
        }),
    [live],
  );
  useEffect(() => {
    let isWanted = true;
    void fileFormats()
      .then(({ drawnPicturesOf }) => bitmapsOf(drawnPicturesOf(shot), 1))
      .then((found) => isWanted && setImages(found));
    return () => {
      isWanted = false;
    };
    // Pictures are fetched once: what is edited meanwhile has them already.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !images) return;
    const scene = { field, items, next: null, shutterDeg: 0, ground: 'paper', label: null } as const;
    drawScene(context, scene, images);
  }, [images, items, field, width]);
  return (
    <GestureDetector gesture={tap} touchAction={onTap ? 'none' : 'auto'}>
      <View
        testID={testID}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        style={{ height: width > 0 ? height : undefined }}
        className={`mt-2 overflow-hidden rounded-small border border-line ${onTap ? 'cursor-crosshair' : ''}`}
      >
        {width > 0 && (
          <>
            <Canvas
              width={Math.round(width * PIXELS)}
              height={Math.round(height * PIXELS)}
              label={label}
              onReady={(element) => {
                canvas.current = element;
              }}
            />
            {over && (
              <View className="pointer-events-none absolute inset-0">
                <Drawing width={width} height={height}>
                  {over(field.width / width)}
                </Drawing>
              </View>
            )}
          </>
        )}
      </View>
    </GestureDetector>
  );
}
