import { type SceneItem, sceneOn, takenSceneOn } from '@humble/core/scene';
import Maximize from 'lucide-react-native/icons/maximize';
import Minimize from 'lucide-react-native/icons/minimize';
import Pause from 'lucide-react-native/icons/pause';
import Play from 'lucide-react-native/icons/play';
import Repeat from 'lucide-react-native/icons/repeat';
import X from 'lucide-react-native/icons/x';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import { Modal, ScrollView, View } from 'react-native';
import {
  currentFrame,
  goTo,
  subscribePlayhead,
  togglePlay,
  useFrame,
  useIsPlaying,
} from '../../playback/playhead';
import { takenBitmap } from '../../playback/takenBitmaps';
import { drawScene } from '../../workers/preview/drawScene';
import { useAppDispatch, useAppStore, useSettings } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { selectPassage } from '../../store/selectors/timingSelection';
import { IconButton } from '../../ui/Button';
import { Canvas } from '../../ui/Canvas';
import { beginFullScreen, endFullScreen, whenFullScreenEnds } from '../../ui/fullScreen';
import { useLayout } from '../../ui/layout';
import { useFocusReturn } from '../../ui/returnedFocus';
import { Slider } from '../../ui/Slider';
import { Words } from '../../ui/Words';
import { previewWords as words } from '../../words/preview';
import { transportWords } from '../../words/transport';
import { fileFormats } from '../../commands/fileFormats';
import { type Bitmaps, bitmapsOf } from '../../persistence/bitmaps';
import { freshLook, labelOf, type Look } from './look';
import { SavePanel } from './SavePanel';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

/** Of the window, pixels: the settings beside the picture on a wide screen, and the transport beneath it. */
const PANEL_PX = 396;
const TRANSPORT_PX = 72;
/** Pixels of the picture for each of the window. */
const PHONE_PIXELS = 2;

/** The shot as it will look, without any aid, at true speed and with its sound; and as a file. */
export function PreviewDialog({ onClose }: { readonly onClose: () => void }) {
  const { isWide, width, height } = useLayout();
  const { field } = useThrottledShot();
  const store = useAppStore();
  const [look, setLook] = useState<Look>(() => freshLook(store.getState()));
  const passage = useThrottledSelector(selectPassage);
  useFocusReturn(true);
  useEffect(() => {
    if (passage) goTo(passage.from);
  }, [passage]);
  const [isAlone, setAlone] = useState(false);
  useEffect(() => whenFullScreenEnds(() => setAlone(false)), []);
  useEffect(() => () => endFullScreen(), []);
  const showAlone = (alone: boolean): void => {
    setAlone(alone);
    if (alone) beginFullScreen();
    else endFullScreen();
  };
  const ratio = field.width / field.height;
  const beside = isWide && !isAlone;
  const room = {
    width: (beside ? width - PANEL_PX : width) - (isAlone ? 0 : 24),
    height: isAlone ? height - TRANSPORT_PX : isWide ? height - 120 : height * 0.42,
  };
  const shown = Math.min(room.width, room.height * ratio);
  return (
    <Modal
      visible
      transparent
      animationType="none"
      onRequestClose={() => (isAlone ? showAlone(false) : onClose())}
    >
      <View role="dialog" aria-modal aria-label={words.preview} className="flex-1 bg-desk">
        {!isAlone && (
          <View className="h-[48px] flex-row items-center justify-between pl-4 pr-1">
            <Words role="heading" size="title" strong>
              {words.preview}
            </Words>
            <IconButton label={words.close} icon={X} onPress={onClose} />
          </View>
        )}
        <View className={beside ? 'min-h-0 flex-1 flex-row' : 'min-h-0 flex-1'}>
          <View className={beside || isAlone ? 'flex-1 items-center justify-center' : 'items-center'}>
            <Stage look={look} width={shown} height={shown / ratio} />
            <Transport isAlone={isAlone} onAlone={showAlone} />
          </View>
          <ScrollView
            className={
              isAlone
                ? 'hidden'
                : isWide
                  ? 'w-[396px] grow-0 border-l border-line bg-card'
                  : 'flex-1 border-t border-line bg-card'
            }
            contentContainerClassName="gap-3 p-4"
          >
            <SavePanel look={look} onLook={setLook} passage={passage} />
          </ScrollView>
        </View>
      </View>
    </Modal>
  );
}

/** The pictures that something is drawn with, and those of a scene that were taken; what is still to come draws it anew. */
function withTaken(images: Bitmaps, items: readonly SceneItem[], onThere: () => void): Bitmaps {
  const taken = items.flatMap((item): [string, ImageBitmap][] => {
    if (item.kind !== 'picture' || images.has(item.picture.sha256)) return [];
    const bitmap = takenBitmap(item.picture.sha256, onThere);
    return bitmap ? [[item.picture.sha256, bitmap]] : [];
  });
  return taken.length > 0 ? new Map([...images, ...taken]) : images;
}

interface StageProps {
  readonly look: Look;
  /** In the window, pixels. */
  readonly width: number;
  readonly height: number;
}

/** The picture itself: drawn anew with every frame that passes. */
function Stage({ look, width, height }: StageProps) {
  const shot = useThrottledShot();
  const frame = useFrame();
  const canvas = useRef<HTMLCanvasElement | null>(null);
  const [images, setImages] = useState<Bitmaps | null>(null);
  const [picturesThere, anotherIsThere] = useReducer((count: number) => count + 1, 0);
  const [pixels, setPixels] = useState({ width: 0, height: 0 });
  if (Math.round(width * PHONE_PIXELS) !== pixels.width)
    setPixels({ width: Math.round(width * PHONE_PIXELS), height: Math.round(height * PHONE_PIXELS) });
  const scale = pixels.width / shot.field.width;
  useEffect(() => {
    let isWanted = true;
    void fileFormats()
      .then(({ drawnPicturesOf }) => bitmapsOf(drawnPicturesOf(shot), scale))
      .then((found) => isWanted && setImages(found));
    return () => {
      isWanted = false;
    };
    // Pictures are fetched for the shot that was opened: what is edited meanwhile has them already.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const draw = useCallback((): void => {
    const context = canvas.current?.getContext('2d');
    if (!context || !images) return;
    const on = Math.min(currentFrame(), shot.lengthFrames);
    const { shows, ground, withBackdrop, outlines, hasCount } = look;
    const isTaken = shows === 'taken';
    const shutterDeg = isTaken ? 0 : look.shutterDeg;
    const items = (isTaken ? takenSceneOn : sceneOn)(shot, on, withBackdrop, { outlines });
    const next =
      shutterDeg > 0 && on < shot.lengthFrames ? sceneOn(shot, on + 1, withBackdrop, { outlines }) : null;
    const label = hasCount ? labelOf(on, shot) : null;
    drawScene(
      context,
      { field: shot.field, items, next, shutterDeg, ground, label },
      isTaken ? withTaken(images, items, anotherIsThere) : images,
    );
    // A picture that came since is a reason to draw anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [shot, look, images, picturesThere]);
  useEffect(() => {
    draw();
    return subscribePlayhead(draw);
  }, [draw, pixels]);
  return (
    <View style={{ width, height }} className={look.ground === 'transparent' ? 'bg-ground' : ''}>
      <Canvas
        width={pixels.width}
        height={pixels.height}
        label={words.picture(frameNumber(frame))}
        onReady={(element) => {
          canvas.current = element;
          draw();
        }}
      />
      {!images && (
        <View className="absolute inset-0 items-center justify-center">
          <Words tone="soft">{words.gettingPictures}</Words>
        </View>
      )}
    </View>
  );
}

interface TransportProps {
  readonly isAlone: boolean;
  readonly onAlone: (isAlone: boolean) => void;
}

function Transport({ isAlone, onAlone }: TransportProps) {
  const { lengthFrames } = useThrottledShot();
  const { loops } = useSettings();
  const dispatch = useAppDispatch();
  const frame = useFrame();
  const isPlaying = useIsPlaying();
  return (
    <View className="w-full flex-row items-center gap-2 px-3 pt-1">
      <IconButton
        label={isPlaying ? words.pause : words.play}
        icon={isPlaying ? Pause : Play}
        onPress={togglePlay}
      />
      <IconButton
        label={loops ? transportWords.loopOn : transportWords.loopOff}
        icon={Repeat}
        pressed={loops}
        onPress={() => dispatch(settingsChanged({ loops: !loops }))}
      />
      <View className="min-w-0 flex-1">
        <Slider
          label={words.frames}
          text={words.frame(frameNumber(frame), frameNumber(lengthFrames))}
          value={frame}
          min={1}
          max={lengthFrames}
          step={1}
          onChange={goTo}
        />
      </View>
      <IconButton
        label={isAlone ? words.exitFullScreen : words.fullScreen}
        icon={isAlone ? Minimize : Maximize}
        onPress={() => onAlone(!isAlone)}
      />
    </View>
  );
}
