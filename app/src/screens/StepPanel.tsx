import { useEffect, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { ArcPanel } from '../features/arc/ArcPanel';
import { BackdropPanel } from '../features/backdrop/BackdropPanel';
import { FigurePanel } from '../features/figure/FigurePanel';
import { SheetPanel } from '../features/sheet/SheetPanel';
import { TimingPanel } from '../features/timing/TimingPanel';
import type { HandState } from '../state/handSlice';
import { useHand, useSession } from '../state/hooks';
import type { Step } from '../state/sessionSlice';

interface StepPanelProps {
  /** On a phone the ruler belongs to the panel; a wide screen has it in the desk. */
  readonly showsRuler: boolean;
  readonly onExport: () => void;
}

/** The panel of the current step. The sheet scrolls its own lines, the others as a whole. */
export function StepPanel({ showsRuler, onExport }: StepPanelProps) {
  const step = useSession((session) => session.step);
  if (step === 'sheet')
    return (
      <View className="flex-1 pt-1">
        <SheetPanel onExport={onExport} />
      </View>
    );
  return <ScrolledPanel step={step} showsRuler={showsRuler} />;
}

/** What the Arc step shows first: that is brought into sight when it changes. */
const firstShown = ({ tool, selectedPointIds, place, sketch }: HandState): string =>
  [tool, Math.min(2, selectedPointIds.length), place !== null, sketch !== null].join(' ');

function ScrolledPanel({ step, showsRuler }: { readonly step: Step; readonly showsRuler: boolean }) {
  const panel = useRef<ScrollView>(null);
  const first = useHand(firstShown);
  useEffect(() => panel.current?.scrollTo({ y: 0, animated: false }), [first]);
  return (
    <ScrollView ref={panel} className="flex-1" contentContainerClassName="px-4 pb-6 pt-1" key={step}>
      {step === 'arc' && <ArcPanel backdrop={<BackdropPanel />} />}
      {step === 'figure' && <FigurePanel />}
      {step === 'timing' && <TimingPanel showsRuler={showsRuler} />}
    </ScrollView>
  );
}
