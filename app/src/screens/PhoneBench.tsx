import { benchWords as words } from '../words/bench';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Field, FieldStrip } from '../features/field/Field';
import { Transport } from '../features/transport/Transport';
import { useSession } from '../store/hooks';
import { stepDescriptor } from '../kinds/steps';
import { useLayout } from '../ui/layout';
import { isLargeText } from '../ui/textScale';
import { StepBar } from './StepBar';
import { PanelArea } from './PanelArea';
import { useThrottledShotValue } from '../store/throttled/hooks';

/** A pull of the handle further than this opens or closes the panel, pixels. */
const PULL_PX = 24;

/** Room round the paper, pixels on both sides together. */
const MARGINS_PX = 32;
/** At most so much of a window's height is the field's for its width alone. */
const MAX_SHARE = 0.45;
/** Beside large text it has less, so that the words have room. */
const LARGE_TEXT_SHARE = 0.22;
/** Width of the panel beside the field, on a phone that lies on its side. */
const SIDE_PANEL_PX = 320;

/** Height of the field on an upright phone: its step's share, and enough for the paper to be as wide as the window. */
export function fieldHeight(share: number, window: Size, field: Size): number {
  const asWide = (window.width - MARGINS_PX) * (field.height / field.width) + MARGINS_PX;
  if (isLargeText()) return Math.round(Math.min(asWide, LARGE_TEXT_SHARE * window.height));
  return Math.round(Math.max(share * window.height, Math.min(asWide, MAX_SHARE * window.height)));
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
  const step = useSession((session) => session.step);
  const field = useThrottledShotValue((shot) => shot.field);
  const [isTall, setTall] = useState(false);
  const height = fieldHeight(stepDescriptor(step).fieldShare, window, field);
  return (
    <View className={`min-h-0 flex-1 ${isSide ? 'flex-row' : ''}`}>
      <View className={isSide ? 'min-w-0 flex-1' : ''}>
        <View
          className={isSide ? 'min-h-0 flex-1' : ''}
          style={isSide ? undefined : { height: isTall ? 0 : height }}
        >
          <Field />
        </View>
        {(isSide || !isTall) && <FieldStrip />}
        <Transport layout={layout} />
      </View>
      <View
        className={`bg-ground ${isSide ? 'border-l border-line pt-1' : 'min-h-0 flex-1'}`}
        style={isSide ? { width: SIDE_PANEL_PX } : undefined}
      >
        {!isSide && <PanelHandle isTall={isTall} onChange={setTall} />}
        <PanelArea isPhone onExport={onExport} />
      </View>
      <StepBar layout={layout} />
    </View>
  );
}

interface PanelHandleProps {
  readonly isTall: boolean;
  readonly onChange: (isTall: boolean) => void;
}

function PanelHandle({ isTall, onChange }: PanelHandleProps) {
  const pull = useMemo(
    () =>
      Gesture.Pan()
        .runOnJS(true)
        .minDistance(0)
        .onEnd(({ translationY }) => {
          if (Math.abs(translationY) < 4) onChange(!isTall);
          else if (Math.abs(translationY) > PULL_PX) onChange(translationY < 0);
        }),
    [isTall, onChange],
  );
  return (
    <GestureDetector gesture={pull} touchAction="none">
      <View
        role="button"
        tabIndex={0}
        aria-label={isTall ? words.showTheField : words.pullThePanelUp}
        collapsable={false}
        className="h-[24px] cursor-pointer items-center justify-center"
      >
        <View className="h-[4px] w-[40px] rounded-full bg-line" />
      </View>
    </GestureDetector>
  );
}
