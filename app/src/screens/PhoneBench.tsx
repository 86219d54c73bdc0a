import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Field } from '../features/field/Field';
import { Transport } from '../features/transport/Transport';
import { ViewControl } from '../features/view/ViewControl';
import { useSession } from '../store/hooks';
import { stepDescriptor } from '../kinds/steps';
import { useLayout } from '../ui/layout';
import { StepBar } from './StepBar';
import { StepPanel } from './StepPanel';

/** A pull of the handle further than this opens or closes the panel, pixels. */
const PULL_PX = 24;

/** One hand's width: field, transport, panel and steps from top to bottom. */
export function PhoneBench({ onExport }: { readonly onExport: () => void }) {
  const { height } = useLayout();
  const step = useSession((session) => session.step);
  const [isTall, setTall] = useState(false);
  return (
    <>
      <View style={{ height: isTall ? 0 : Math.round(height * stepDescriptor(step).fieldShare) }}>
        <Field controls={<ViewControl />} />
      </View>
      <Transport isWide={false} />
      <View className="min-h-0 flex-1 bg-ground">
        <PanelHandle isTall={isTall} onChange={setTall} />
        <StepPanel isPhone onExport={onExport} />
      </View>
      <StepBar isWide={false} />
    </>
  );
}

interface PanelHandleProps {
  readonly isTall: boolean;
  readonly onChange: (isTall: boolean) => void;
}

/** Pulls the panel to full height and back; a tap does the same. */
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
        aria-label={isTall ? 'Show the field' : 'Pull the panel up'}
        collapsable={false}
        className="h-[24px] cursor-pointer items-center justify-center"
      >
        <View className="h-[4px] w-[40px] rounded-full bg-line" />
      </View>
    </GestureDetector>
  );
}
