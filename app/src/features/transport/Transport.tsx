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
import { playMenu } from '../../commands/menus/playMenu';
import { goTo, pause, setRange, step, togglePlay, useIsPlaying } from '../../playback/playhead';
import { useAppDispatch, useAppStore, useSettings } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { selectPassage } from '../../store/selectors/timingSelection';
import { IconButton } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { openContextMenu } from '../../ui/contextMenu';
import type { Layout } from '../../ui/layout';
import { isLargeText } from '../../ui/textScale';
import { FrameCount } from './FrameCount';
import { ScrubRail } from './ScrubRail';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

interface TransportProps {
  readonly layout: Layout;
  /** Over a raised panel the rail is all there is room for. */
  readonly isRailOnly?: boolean;
}

export function Transport({ layout, isRailOnly = false }: TransportProps) {
  const isWide = layout === 'wide';
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const { loops, playbackSpeed } = useSettings();
  const passage = useThrottledSelector(selectPassage);
  useEffect(
    () => setRange({ lengthFrames, rate, loops, passage, speed: playbackSpeed }),
    [lengthFrames, rate, loops, passage, playbackSpeed],
  );
  useEffect(() => pause, []);
  const count = <FrameCount lengthFrames={lengthFrames} rate={rate} layout={layout} />;
  const back = <StepButton label={words.oneFrameBack} icon={ChevronLeft} by={-1} />;
  const on = <StepButton label={words.oneFrameOn} icon={ChevronRight} by={1} />;
  return (
    <View
      testID="transport"
      className={`border-y border-line bg-card ${isLargeText() && !isWide ? '' : 'flex-row items-center'} ${isWide || isRailOnly ? '' : 'min-h-[52px]'}`}
    >
      {!isRailOnly && (
        <View className={`flex-row items-center ${isWide ? 'gap-1 px-2' : 'pl-2'}`}>
          {isWide ? (
            <>
              <LoopAndFirst />
              {back}
              <PlayButton />
              {on}
              <IconButton label={words.lastFrame} icon={SkipForward} onPress={() => goTo(lengthFrames)} />
              {count}
            </>
          ) : (
            <>
              <PlayButton />
              {back}
              {count}
              {on}
            </>
          )}
        </View>
      )}
      <View className={`min-w-0 flex-1 ${isWide ? 'pr-2' : ''}`}>
        <ScrubRail />
      </View>
    </View>
  );
}

function LoopAndFirst() {
  const { loops } = useSettings();
  const dispatch = useAppDispatch();
  return (
    <>
      <IconButton
        label={loops ? words.loopOn : words.loopOff}
        icon={Repeat}
        pressed={loops}
        onPress={() => dispatch(settingsChanged({ loops: !loops }))}
      />
      <IconButton label={words.firstFrame} icon={SkipBack} onPress={() => goTo(1)} />
    </>
  );
}

interface StepButtonProps {
  readonly label: string;
  readonly icon: typeof ChevronLeft;
  readonly by: 1 | -1;
}

const StepButton = ({ label, icon: Icon, by }: StepButtonProps) => (
  <Pressable
    role="button"
    aria-label={label}
    onPress={() => step(by)}
    className="h-[44px] w-[34px] items-center justify-center"
  >
    <Icon size={22} strokeWidth={1.75} color={colour.ink} />
  </Pressable>
);

/** A press plays; one that rests opens what else there is to playing. */
function PlayButton() {
  const isPlaying = useIsPlaying();
  const store = useAppStore();
  const Icon = isPlaying ? Pause : Play;
  return (
    <Pressable
      role="button"
      aria-label={isPlaying ? words.pause : words.play}
      onPress={togglePlay}
      onLongPress={({ nativeEvent: { pageX, pageY } }) =>
        openContextMenu(playMenu(store), { x: pageX, y: pageY }, true)
      }
      className="h-[44px] w-[44px] items-center justify-center rounded-full bg-brass"
    >
      <Icon size={22} strokeWidth={1.75} color={colour.onbrass} />
    </Pressable>
  );
}
