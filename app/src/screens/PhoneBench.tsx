import { benchWords as words } from '../words/bench';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { FieldStrip } from '../features/field/Field';
import { Transport } from '../features/transport/Transport';
import { useKeyboardRoom } from '../ui/keyboardRoom';
import { useLayout } from '../ui/layout';
import { isLargeText } from '../ui/textScale';
import { NumberPad } from '../ui/NumberPad';
import { PadHost } from '../ui/padEntry';
import { BenchField } from './BenchField';
import { StepBar } from './StepBar';
import { PanelArea } from './PanelArea';
import { useThrottledShotValue } from '../store/throttled/hooks';

/** A pull of the handle further than this opens or closes the panel, pixels. */
const PULL_PX = 24;

/** The field is no higher than this on an upright phone, pixels. */
const MAX_FIELD_PX = 250;
/** What else stands on it: head, strip, transport, grip, groups, steps, and 220 pixels for what one works with. */
const BESIDES_PX = 460;
/** A tablet has more for it: what it leaves to everything else, pixels. */
const TABLET_BESIDES_PX = 620;
/** Over a raised panel the picture stays as a strip, pixels. */
const STRIP_PX = 110;
/** Beside large text it has less, so that the words have room. */
const LARGE_TEXT_SHARE = 0.22;
/** Width of the panel beside the field, on a phone that lies on its side. */
const SIDE_PANEL_PX = 320;

/** Height of the field on an upright phone: the paper from edge to edge, as far as there is room. */
export function fieldHeight(window: Size, field: Size): number {
  const asWide = window.width * (field.height / field.width);
  const most = isLargeText()
    ? LARGE_TEXT_SHARE * window.height
    : Math.min(Math.max(MAX_FIELD_PX, window.height - TABLET_BESIDES_PX), window.height - BESIDES_PX);
  return Math.round(Math.max(STRIP_PX, Math.min(asWide, most)));
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * A phone. Upright it has field, transport, panel and steps from top to bottom; on its side the panel stands beside
 * the field. Both are the same parts in the same order, so that turning the phone keeps what is being typed.
 */
export function PhoneBench({ onExport }: { readonly onExport: () => void }) {
  const { layout, ...window } = useLayout();
  const isSide = layout === 'side';
  const field = useThrottledShotValue((shot) => shot.field);
  const [raised, setRaised] = useState(false);
  const isTyping = useKeyboardRoom() !== null;
  const isRaised = (raised || isTyping) && !isSide;
  const height = isRaised ? STRIP_PX : fieldHeight(window, field);
  return (
    <PadHost value>
      <View className={`min-h-0 flex-1 ${isSide ? 'flex-row' : ''}`}>
        <View className={isSide ? 'min-w-0 flex-1' : ''}>
          <View className={isSide ? 'min-h-0 flex-1' : ''} style={isSide ? undefined : { height }}>
            <BenchField isStrip={isRaised} />
          </View>
          {!isRaised && <FieldStrip />}
          {!isTyping && <Transport layout={layout} isRailOnly={isRaised} />}
        </View>
        <View className={isSide ? 'flex-row' : 'min-h-0 flex-1'}>
          <View
            className={`bg-ground ${isSide ? 'border-l border-line pt-1' : 'min-h-0 flex-1'}`}
            style={isSide ? { width: SIDE_PANEL_PX } : undefined}
          >
            {!isSide && !isTyping && <PanelHandle isRaised={raised} onChange={setRaised} />}
            <PanelArea isPhone onExport={onExport} />
          </View>
          {!isTyping && <StepBar layout={layout} />}
          <NumberPad />
        </View>
      </View>
    </PadHost>
  );
}

interface PanelHandleProps {
  readonly isRaised: boolean;
  readonly onChange: (isRaised: boolean) => void;
}

function PanelHandle({ isRaised, onChange }: PanelHandleProps) {
  const pull = useMemo(
    () =>
      Gesture.Pan()
        .runOnJS(true)
        .minDistance(0)
        .onEnd(({ translationY }) => {
          if (Math.abs(translationY) < 4) onChange(!isRaised);
          else if (Math.abs(translationY) > PULL_PX) onChange(translationY < 0);
        }),
    [isRaised, onChange],
  );
  return (
    <GestureDetector gesture={pull} touchAction="none">
      <View
        role="button"
        tabIndex={0}
        aria-label={isRaised ? words.showTheField : words.pullThePanelUp}
        collapsable={false}
        className="h-[16px] cursor-pointer items-center justify-center"
      >
        <View className="h-[4px] w-[40px] rounded-full bg-line" />
      </View>
    </GestureDetector>
  );
}
