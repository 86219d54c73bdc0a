import { readFrame } from '@humble/core';
import { useRef, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { currentFrame, goTo, pause, useFrame } from '../../playback/playhead';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { type Layout, useLayout } from '../../ui/layout';
import { fixed, writeNumber } from '../../ui/numbers';
import { usePad } from '../../ui/padEntry';
import { isLargeText } from '../../ui/textScale';
import { NumericText } from '../../ui/Words';
import { transportWords as words } from '../../words/transport';
import { countRoom } from './countRoom';
import { firstFrameNumber, frameNumber } from '../../store/frameNumbers';

/** Pixels for it, beside the rail or on a wide screen. */
const WIDE_ROOM_PX = 150;
const SLIM_ROOM_PX = 68;
/** The count keeps so far from what stands beside it where it can. */
const MARGIN_PX = 6;

interface FrameCountProps {
  readonly lengthFrames: number;
  readonly rate: number;
  readonly layout: Layout;
}

export function FrameCount({ lengthFrames, rate, layout }: FrameCountProps) {
  const frame = useFrame();
  const { width } = useLayout();
  const [isTyping, setTyping] = useState(false);
  // Large text has a line of its own.
  const isLarge = isLargeText();
  const isWide = layout === 'wide';
  const room = isLarge ? width - 2 * MARGIN_PX : layout === 'wide' ? WIDE_ROOM_PX : SLIM_ROOM_PX;
  const seconds = (at: number): string => fixed((at - 1) / rate, 2);
  const written = writeNumber(rate, 3);
  const { total, showsRate, free } = countRoom(room, lengthFrames, seconds(lengthFrames), written);
  // The room is that of the longest line, so nothing moves while frames pass.
  const margin = Math.min(MARGIN_PX, free);
  const size = isLarge ? { width: room } : { width: room - free + margin, paddingRight: margin };
  if (isTyping)
    return (
      <View style={size}>
        <FrameEntry rate={rate} onDone={() => setTyping(false)} />
      </View>
    );
  return (
    <Pressable
      role="button"
      aria-label={words.typeAFrame(frameNumber(frame))}
      testID="frame-count"
      className={`min-h-[44px] cursor-text ${isLarge ? 'flex-row items-baseline gap-4 pl-3' : 'items-center justify-center'}`}
      style={size}
      onPress={() => {
        pause();
        setTyping(true);
      }}
    >
      <NumericText size="title" strong numberOfLines={1}>
        {frameNumber(frame)}
        {isWide && total && (
          <NumericText tone="soft" size={total}>
            {words.ofFrames(lengthFrames)}
          </NumericText>
        )}
      </NumericText>
      <NumericText tone="soft" size="tiny" numberOfLines={1}>
        {isWide
          ? showsRate
            ? `${seconds(frame)} s at ${written}`
            : `${seconds(frame)} s`
          : words.ofFrames(lengthFrames)}
      </NumericText>
    </Pressable>
  );
}

interface FrameEntryProps {
  readonly rate: number;
  readonly onDone: () => void;
}

/** What is typed in the number's place. Enter or leaving goes there, Escape does not. */
function FrameEntry({ rate, onDone }: FrameEntryProps) {
  const dispatch = useAppDispatch();
  const [before] = useState(() => String(frameNumber(currentFrame())));
  const [text, setText] = useState(before);
  // Enter takes the focus away too: what was typed counts once.
  const isDone = useRef(false);
  const close = (): void => {
    isDone.current = true;
    onDone();
  };
  const finish = (): void => {
    if (isDone.current) return;
    close();
    if (text.trim() === '') return;
    const frame = readFrame(text, currentFrame(), rate, firstFrameNumber());
    if (frame === null) dispatch(messageShown(words.thatIsNoFrame(text.trim().slice(0, MAX_QUOTE_LENGTH))));
    else goTo(frame);
  };
  const pad = usePad({
    label: words.goToFrame,
    units: NO_UNITS,
    text,
    before,
    isFresh: text === before,
    type: setText,
    cancel: close,
  });
  return (
    <TextInput
      aria-label={words.goToFrame}
      autoFocus
      inputMode={pad.hasPad ? 'none' : undefined}
      onFocus={pad.enter}
      selectTextOnFocus
      value={text}
      onChangeText={setText}
      onSubmitEditing={finish}
      onBlur={() => {
        pad.leave();
        finish();
      }}
      onKeyPress={({ nativeEvent: { key } }) => {
        if (key === 'Escape') close();
      }}
      className="h-[44px] rounded-large border border-brass bg-ground px-1 text-right font-mono text-title text-ink"
    />
  );
}

const MAX_QUOTE_LENGTH = 20;
const NO_UNITS: readonly string[] = [];
