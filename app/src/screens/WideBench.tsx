import { ScrollView, View } from 'react-native';
import { Field, FieldStrip } from '../features/field/Field';
import { Transport } from '../features/transport/Transport';
import { useSession } from '../store/hooks';
import { LazyIncrementsTable } from '../features/sheet/LazyIncrementsTable';
import { LazyGraphView } from '../features/timing/graph/LazyGraphView';
import { LazyRulerView } from '../features/timing/ruler/LazyRulerView';
import { Pane } from '../ui/Pane';
import { Divider, useDivider } from './Divider';
import { StepBar } from './StepBar';
import { PanelArea } from './PanelArea';

const DESK_COLUMNS = ['frame', 'place', 'along', 'ruler'] as const;

/** A wide screen: steps on the left, the panel on the right, the desk below the field. */
export function WideBench({ onExport }: { readonly onExport: () => void }) {
  const panel = useDivider('panel', { fresh: 368, least: 360, most: 640, axis: 'x', grows: 'back' });
  const desk = useDivider('desk', { fresh: 248, least: 190, most: 520, axis: 'y', grows: 'back' });
  const numbers = useDivider('numbers', { fresh: 286, least: 200, most: 640, axis: 'x', grows: 'back' });
  const graph = useDivider('graph', { fresh: 300, least: 220, most: 900, axis: 'x', grows: 'forth' });
  const step = useSession((session) => session.step);
  const [isSheet, isTiming] = [step === 'sheet', step === 'timing'];
  return (
    <View className="min-h-0 flex-1 flex-row">
      <StepBar layout="wide" />
      <View className="min-w-0 flex-1">
        <View className="min-h-0 flex-1">
          <Field />
        </View>
        <FieldStrip />
        <Transport layout="wide" />
        <Divider {...desk} label="Height of the desk" />
        <View style={{ height: desk.size }} className="flex-row bg-card">
          <Pane style={{ width: graph.size }} innerClassName="p-2">
            <LazyGraphView height={desk.size - 16} />
          </Pane>
          <Divider {...graph} label="Width of the graph" />
          <Pane className="min-w-0 flex-1">
            <ScrollView className="flex-1" contentContainerClassName="p-3">
              <LazyRulerView />
            </ScrollView>
          </Pane>
          {!isSheet && (
            <>
              <Divider {...numbers} label="Width of the numbers" />
              <Pane style={{ width: numbers.size }} innerClassName="pt-1">
                <LazyIncrementsTable only={DESK_COLUMNS} canType={isTiming} />
              </Pane>
            </>
          )}
        </View>
      </View>
      <Divider {...panel} label="Width of the panel" />
      <Pane style={{ width: panel.size }} className="bg-ground" innerClassName="pt-3">
        <PanelArea isPhone={false} onExport={onExport} />
      </Pane>
    </View>
  );
}
