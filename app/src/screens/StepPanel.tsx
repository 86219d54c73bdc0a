import { ScrollView, View } from 'react-native';
import { ArcPanel } from '../features/arc/ArcPanel';
import { BackdropPanel } from '../features/backdrop/BackdropPanel';
import { FigurePanel } from '../features/figure/FigurePanel';
import { SheetPanel } from '../features/sheet/SheetPanel';
import { TimingPanel } from '../features/timing/TimingPanel';
import { useSession } from '../state/hooks';

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
  return (
    <ScrollView className="flex-1" contentContainerClassName="px-4 pb-6 pt-1" key={step}>
      {step === 'arc' && <ArcPanel backdrop={<BackdropPanel />} />}
      {step === 'figure' && <FigurePanel />}
      {step === 'timing' && <TimingPanel showsRuler={showsRuler} />}
    </ScrollView>
  );
}
