import { benchWords as words } from '../words/bench';
import { View } from 'react-native';
import { Field, FieldStrip } from '../features/field/Field';
import { Transport } from '../features/transport/Transport';
import { useSession } from '../store/hooks';
import { LazyIncrementsTable } from '../features/sheet/LazyIncrementsTable';
import { LazyGraphView } from '../features/timing/graph/LazyGraphView';
import { LazyRulerView } from '../features/timing/ruler/LazyRulerView';
import { useLayout } from '../ui/layout';
import { Pane } from '../ui/Pane';
import { Divider, useDivider } from './Divider';
import { StepBar } from './StepBar';
import { PanelArea } from './PanelArea';

const DESK_COLUMNS = ['frame', 'place', 'along', 'ruler'] as const;

/** Share of the window's height that the desk has before it is dragged: the paper keeps more than 45 %. */
const DESK_SHARE = 0.33;
/** Width of the panel before it is dragged; on a narrow screen it leaves more to the paper. */
const PANEL_PX = 368;
const NARROW_PANEL_PX = 282;
const ROOMY_PX = 1200;
/** Height of the unrolled arc, over the whole width of the desk. */
const RULER_PX = 134;

/** A wide screen: steps on the left, field and panel side by side, and beneath them the desk over the whole width. */
export function WideBench({ onExport }: { readonly onExport: () => void }) {
  const { width, height } = useLayout();
  const panel = useDivider('panel', {
    fresh: width < ROOMY_PX ? NARROW_PANEL_PX : PANEL_PX,
    least: NARROW_PANEL_PX,
    most: 640,
    axis: 'x',
    grows: 'back',
  });
  const desk = useDivider('desk', {
    fresh: Math.round(DESK_SHARE * height),
    least: 220,
    most: 560,
    axis: 'y',
    grows: 'back',
  });
  const numbers = useDivider('numbers', { fresh: 368, least: 200, most: 640, axis: 'x', grows: 'back' });
  const step = useSession((session) => session.step);
  const [isSheet, isTiming] = [step === 'sheet', step === 'timing'];
  return (
    <View className="min-h-0 flex-1 flex-row">
      <StepBar layout="wide" />
      <View className="min-w-0 flex-1">
        <View className="min-h-0 flex-1 flex-row">
          <View className="min-w-0 flex-1">
            <View className="min-h-0 flex-1">
              <Field />
            </View>
            <FieldStrip />
          </View>
          <Divider {...panel} label={words.widthOfThePanel} />
          <Pane style={{ width: panel.size }} className="bg-ground" innerClassName="pt-3">
            <PanelArea isPhone={false} onExport={onExport} />
          </Pane>
        </View>
        <Transport layout="wide" />
        <Divider {...desk} label={words.heightOfTheDesk} />
        <View style={{ height: desk.size }} className="bg-card">
          <Pane style={{ height: RULER_PX }} innerClassName="px-3">
            <LazyRulerView isWide />
          </Pane>
          <View className="min-h-0 flex-1 flex-row border-t border-line">
            <Pane className="min-w-0 flex-1" innerClassName="px-2 pt-1">
              <LazyGraphView height={desk.size - RULER_PX - 6} />
            </Pane>
            {!isSheet && (
              <>
                <Divider {...numbers} label={words.widthOfTheNumbers} />
                <Pane style={{ width: numbers.size }} innerClassName="pt-1">
                  <LazyIncrementsTable only={DESK_COLUMNS} canType={isTiming} />
                </Pane>
              </>
            )}
          </View>
        </View>
      </View>
    </View>
  );
}
