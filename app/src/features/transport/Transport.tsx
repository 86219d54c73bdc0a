import { transportWords as words } from '../../words/transport';
import { frameNumber } from '@humble/core';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Pause from 'lucide-react-native/icons/pause';
import Play from 'lucide-react-native/icons/play';
import Repeat from 'lucide-react-native/icons/repeat';
import SkipBack from 'lucide-react-native/icons/skip-back';
import SkipForward from 'lucide-react-native/icons/skip-forward';
import { useEffect } from 'react';
import { Pressable, View } from 'react-native';
import { goTo, pause, setRange, step, togglePlay, useFrame, useIsPlaying } from '../../playback/playhead';
import { useAppDispatch, useSettings, useThrottledShotValue } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { IconButton } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { type Layout, useLayout } from '../../ui/layout';
import { fixed, writeNumber } from '../../ui/numbers';
import { NumericText } from '../../ui/Words';
import { countRoom } from './countRoom';
import { ScrubRail } from './ScrubRail';

/** Play, step, loop, and the rail: in one line, in two on an upright phone; the essential on one that lies. */
export function Transport({ layout }: { readonly layout: Layout }) {
  const isWide = layout !== 'phone';
  const isSlim = layout === 'side';
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const { loops } = useSettings();
  const dispatch = useAppDispatch();
  useEffect(() => setRange({ lengthFrames, rate, loops }), [lengthFrames, rate, loops]);
  useEffect(() => pause, []);
  const buttons = (
    <View className={`flex-row items-center justify-between ${isWide ? 'gap-1 px-2' : 'px-1'}`}>
      <View className="flex-row items-center">
        {!isSlim && (
          <>
            <IconButton
              label={loops ? words.loopOn : words.loopOff}
              icon={Repeat}
              pressed={loops}
              onPress={() => dispatch(settingsChanged({ loops: !loops }))}
            />
            <IconButton label={words.firstFrame} icon={SkipBack} onPress={() => goTo(1)} />
          </>
        )}
        <IconButton label={words.oneFrameBack} icon={ChevronLeft} onPress={() => step(-1)} />
        <PlayButton />
        <IconButton label={words.oneFrameOn} icon={ChevronRight} onPress={() => step(1)} />
        {!isSlim && (
          <IconButton label={words.lastFrame} icon={SkipForward} onPress={() => goTo(lengthFrames)} />
        )}
      </View>
      <FrameCount lengthFrames={lengthFrames} rate={rate} mostRoom={isSlim ? SLIM_ROOM_PX : MOST_ROOM_PX} />
    </View>
  );
  return (
    <View
      testID="transport"
      className={`border-y border-line bg-card ${isWide ? 'flex-row items-center' : ''}`}
    >
      {isWide && buttons}
      <View className={isWide ? 'flex-1 pr-2' : ''}>
        <ScrubRail />
      </View>
      {!isWide && buttons}
    </View>
  );
}

function PlayButton() {
  const isPlaying = useIsPlaying();
  const Icon = isPlaying ? Pause : Play;
  return (
    <Pressable
      role="button"
      aria-label={isPlaying ? words.pause : words.play}
      onPress={togglePlay}
      className="h-[44px] w-[44px] items-center justify-center rounded-full bg-brass"
    >
      <Icon size={22} strokeWidth={1.75} color={colour.onbrass} />
    </Pressable>
  );
}

/** Pixels beside the buttons, and at most so many. */
const BUTTONS_PX = 272;
const MOST_ROOM_PX = 150;
const SLIM_ROOM_PX = 84;
/** The count keeps so far from the edge where it can. */
const MARGIN_PX = 12;

interface FrameCountProps {
  readonly lengthFrames: number;
  readonly rate: number;
  readonly mostRoom: number;
}

function FrameCount({ lengthFrames, rate, mostRoom }: FrameCountProps) {
  const frame = useFrame();
  const { width } = useLayout();
  const room = Math.min(mostRoom, width - BUTTONS_PX);
  const seconds = (at: number): string => fixed((at - 1) / rate, 2);
  const written = writeNumber(rate, 3);
  const { total, showsRate, free } = countRoom(room, lengthFrames, seconds(lengthFrames), written);
  // The room is that of the longest line, so nothing moves while frames pass.
  const margin = Math.min(MARGIN_PX, free);
  return (
    <View
      testID="frame-count"
      className="items-end"
      style={{ width: room - free + margin, paddingRight: margin }}
    >
      <NumericText size="title" strong numberOfLines={1}>
        {frameNumber(frame)}
        {total && (
          <NumericText tone="soft" size={total}>
            {words.ofFrames(lengthFrames)}
          </NumericText>
        )}
      </NumericText>
      <NumericText tone="soft" size="tiny" numberOfLines={1}>
        {showsRate ? `${seconds(frame)} s at ${written}` : `${seconds(frame)} s`}
      </NumericText>
    </View>
  );
}
