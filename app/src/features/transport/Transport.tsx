import { transportWords as words } from '../../words/transport';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Pause from 'lucide-react-native/icons/pause';
import Play from 'lucide-react-native/icons/play';
import Repeat from 'lucide-react-native/icons/repeat';
import SkipBack from 'lucide-react-native/icons/skip-back';
import SkipForward from 'lucide-react-native/icons/skip-forward';
import { useEffect } from 'react';
import { Pressable, View } from 'react-native';
import { goTo, pause, setRange, step, togglePlay, useIsPlaying } from '../../playback/playhead';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { selectPassage } from '../../store/selectors/timingSelection';
import { IconButton } from '../../ui/Button';
import { colour } from '../../ui/colour';
import type { Layout } from '../../ui/layout';
import { isLargeText } from '../../ui/textScale';
import { FrameCount } from './FrameCount';
import { ScrubRail } from './ScrubRail';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

export function Transport({ layout }: { readonly layout: Layout }) {
  const isWide = layout !== 'phone';
  const isSlim = layout === 'side';
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const { loops } = useSettings();
  const dispatch = useAppDispatch();
  const passage = useThrottledSelector(selectPassage);
  useEffect(() => setRange({ lengthFrames, rate, loops, passage }), [lengthFrames, rate, loops, passage]);
  useEffect(() => pause, []);
  const buttons = (
    <View
      className={`flex-row items-center justify-between ${isWide ? 'gap-1 px-2' : 'px-1'} ${isLargeText() ? 'flex-wrap' : ''}`}
    >
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
      <FrameCount lengthFrames={lengthFrames} rate={rate} isSlim={isSlim} />
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
