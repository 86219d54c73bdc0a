import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Pause from 'lucide-react-native/icons/pause';
import Play from 'lucide-react-native/icons/play';
import Repeat from 'lucide-react-native/icons/repeat';
import SkipBack from 'lucide-react-native/icons/skip-back';
import SkipForward from 'lucide-react-native/icons/skip-forward';
import { useEffect } from 'react';
import { Pressable, View } from 'react-native';
import { goTo, pause, setRange, step, togglePlay, useFrame, useIsPlaying } from '../../state/playhead';
import { useAppDispatch, useSettings, useShotValue } from '../../state/hooks';
import { settingsChanged } from '../../state/settingsSlice';
import { IconButton } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { fixed, writeNumber } from '../../ui/numbers';
import { Figures } from '../../ui/Words';
import { ScrubRail } from './ScrubRail';

/** Play, step, loop, and the rail. On a wide screen in one line, on a phone in two. */
export function Transport({ isWide }: { readonly isWide: boolean }) {
  const lengthFrames = useShotValue((shot) => shot.lengthFrames);
  const rate = useShotValue((shot) => shot.rate);
  const { loops } = useSettings();
  const dispatch = useAppDispatch();
  useEffect(() => setRange({ lengthFrames, rate, loops }), [lengthFrames, rate, loops]);
  useEffect(() => pause, []);
  const buttons = (
    <View className={`flex-row items-center justify-between ${isWide ? 'gap-1 px-2' : 'px-1'}`}>
      <View className="flex-row items-center">
        <IconButton
          label={loops ? 'Loop: on' : 'Loop: off'}
          icon={Repeat}
          pressed={loops}
          onPress={() => dispatch(settingsChanged({ loops: !loops }))}
        />
        <IconButton label="First frame" icon={SkipBack} onPress={() => goTo(1)} />
        <IconButton label="One frame back" icon={ChevronLeft} onPress={() => step(-1)} />
        <PlayButton />
        <IconButton label="One frame on" icon={ChevronRight} onPress={() => step(1)} />
        <IconButton label="Last frame" icon={SkipForward} onPress={() => goTo(lengthFrames)} />
      </View>
      <FrameCount lengthFrames={lengthFrames} rate={rate} />
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
      aria-label={isPlaying ? 'Pause' : 'Play'}
      onPress={togglePlay}
      className="mx-1 h-[44px] w-[44px] items-center justify-center rounded-full bg-brass"
    >
      <Icon size={22} strokeWidth={1.75} color={colour.onbrass} />
    </Pressable>
  );
}

function FrameCount({ lengthFrames, rate }: { readonly lengthFrames: number; readonly rate: number }) {
  const frame = useFrame();
  // Frames of four figures and more need their room, and it must not change while they pass.
  const isLong = lengthFrames >= 1000;
  return (
    <View testID="frame-count" className={`items-end ${isLong ? 'w-[110px] pr-1' : 'w-[104px] pr-3'}`}>
      <Figures size="title" strong numberOfLines={1}>
        {frame}
        <Figures tone="soft" size={isLong ? 'tiny' : 'small'}>{` of ${lengthFrames}`}</Figures>
      </Figures>
      <Figures tone="soft" size="tiny" numberOfLines={1}>
        {`${fixed((frame - 1) / rate, 2)} s at ${writeNumber(rate, 3)}`}
      </Figures>
    </View>
  );
}
