import { useEffect, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { ArcPanel } from '../features/arc/ArcPanel';
import { BackdropPanel } from '../features/backdrop/BackdropPanel';
import { FigurePanel } from '../features/figure/FigurePanel';
import type { HoldOf } from '../features/figure/PosesCard';
import { IncrementsTable } from '../features/sheet/IncrementsTable';
import { SheetPanel } from '../features/sheet/SheetPanel';
import { HoldHere } from '../features/timing/HoldHere';
import { TimingPanel } from '../features/timing/TimingPanel';
import type { EditorState } from '../state/editorSlice';
import { useEditor, useSession } from '../state/hooks';
import type { Step } from '../state/sessionSlice';

interface StepPanelProps {
  /** On a phone the views of the timing belong to the panel; a wide screen has them in its desk. */
  readonly isPhone: boolean;
  readonly onExport: () => void;
}

/** The panel of the current step. The sheet scrolls its own lines, the others as a whole. */
export function StepPanel({ isPhone, onExport }: StepPanelProps) {
  const step = useSession((session) => session.step);
  if (step === 'sheet')
    return (
      <View className="flex-1 pt-1">
        <SheetPanel onExport={onExport} />
      </View>
    );
  return <ScrolledPanel step={step} isPhone={isPhone} />;
}

const holdHere: HoldOf = (move, frame) => <HoldHere move={move} frame={frame} />;

const PHONE_COLUMNS = ['frame', 'held', 'place', 'along'] as const;

/** What the Arc step shows first: that is brought into sight when it changes. */
const firstShown = ({ tool, selectedPointIds, place, sketch }: EditorState): string =>
  [tool, Math.min(2, selectedPointIds.length), place !== null, sketch !== null].join(' ');

function ScrolledPanel({ step, isPhone }: { readonly step: Step; readonly isPhone: boolean }) {
  const panel = useRef<ScrollView>(null);
  const first = useEditor(firstShown);
  useEffect(() => panel.current?.scrollTo({ y: 0, animated: false }), [first]);
  return (
    <ScrollView ref={panel} className="flex-1" contentContainerClassName="px-4 pb-6 pt-1" key={step}>
      {step === 'arc' && <ArcPanel backdrop={<BackdropPanel />} />}
      {step === 'figure' && <FigurePanel hold={holdHere} />}
      {step === 'timing' && (
        <TimingPanel numbers={isPhone ? <IncrementsTable only={PHONE_COLUMNS} canType /> : undefined} />
      )}
    </ScrollView>
  );
}
