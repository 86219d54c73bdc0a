import { benchWords as words } from '../words/bench';
import { useState } from 'react';
import { View } from 'react-native';
import { FieldStrip } from '../features/field/Field';
import { Transport } from '../features/transport/Transport';
import { throttledStoreOf } from '../store/throttled/throttledStore';
import { useAppStore, useSession } from '../store/hooks';
import type { RootState } from '../store/store';
import { ROW_PX, selectTracksWithKeys } from '../features/figure/tracks/selectTracksWithKeys';
import { LazyIncrementsTable } from '../features/sheet/lazyTables';
import { LazyGraphView } from '../features/timing/graph/LazyGraphView';
import { LazyRulerView } from '../features/timing/ruler/LazyRulerView';
import { useLayout } from '../ui/layout';
import { Pane } from '../ui/Pane';
import { Divider, useDivider } from './Divider';
import { keysUnderRuler } from './keysUnderRuler';
import { BenchField } from './BenchField';
import { StepBar } from './StepBar';
import { PanelArea } from './PanelArea';
import { useThrottledSelector } from '../store/throttled/hooks';

const DESK_COLUMNS = ['frame', 'place', 'along', 'ruler'] as const;

/** Share of the window's height that the desk has before it is dragged: the paper keeps more than 45 %. */
const DESK_SHARE = 0.33;
/** Width of the panel before it is dragged; on a narrow screen it leaves more to the paper. */
const PANEL_PX = 368;
const NARROW_PANEL_PX = 282;
const ROOMY_PX = 1200;
/** Height of the unrolled arc, over the whole width of the desk. */
const RULER_PX = 86;
/** Room above and beneath the graph. */
const UNDER_GRAPH_PX = 6;

/** The sheet has the whole height on the right, as wide as its columns; the field gives way. */
const TABLE_PX = 672;
const LEAST_TABLE_PX = 560;
const TRACK_COLUMN_PX = 76;
const MOST_TABLE_SHARE = 0.56;
/** The graph is never lower than this, pixels. */
const MIN_GRAPH_PX = 100;

/** Height of the rows of keys under the ruler; it rests while something is dragged, so that nothing moves beneath it. */
function useRestingKeysHeight(): number {
  const store = useAppStore();
  const [heightOf] = useState(() => {
    let height: number | null = null;
    return (state: RootState): number => {
      if (height === null || !throttledStoreOf(store).isThrottling())
        height = selectTracksWithKeys(state).length * ROW_PX;
      return height;
    };
  });
  return useThrottledSelector(heightOf);
}

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
  const keysPx = useRestingKeysHeight();
  // Rows of keys take their room from the graph first, then from the paper.
  const deskPx = Math.max(desk.size, RULER_PX + keysPx + MIN_GRAPH_PX);
  const [isSheet, isTiming] = [step === 'sheet', step === 'timing'];
  const columns = useThrottledSelector((state) => selectTracksWithKeys(state).length);
  const table = useDivider('table', {
    fresh: Math.min(TABLE_PX + TRACK_COLUMN_PX * columns, Math.round(MOST_TABLE_SHARE * width)),
    least: LEAST_TABLE_PX,
    most: 1200,
    axis: 'x',
    grows: 'back',
  });
  return (
    <View className="min-h-0 flex-1 flex-row">
      <StepBar layout="wide" />
      <View className="min-w-0 flex-1">
        <View className="min-h-0 flex-1 flex-row">
          <View className="min-w-0 flex-1">
            <View className="min-h-0 flex-1">
              <BenchField />
            </View>
            <FieldStrip />
          </View>
          {!isSheet && (
            <>
              <Divider {...panel} label={words.widthOfThePanel} />
              <Pane style={{ width: panel.size }} className="bg-ground" innerClassName="pt-3">
                <PanelArea isPhone={false} onExport={onExport} />
              </Pane>
            </>
          )}
        </View>
        {/* Beside the table there is room for one like a phone's. */}
        <Transport layout={isSheet ? 'phone' : 'wide'} />
        {!isSheet && <Divider {...desk} label={words.heightOfTheDesk} />}
        <View style={{ height: isSheet ? RULER_PX + keysPx : deskPx }} className="bg-card">
          <Pane style={{ height: RULER_PX + keysPx }} innerClassName="px-3">
            <LazyRulerView under={keysUnderRuler} />
          </Pane>
          {!isSheet && (
            <View className="min-h-0 flex-1 flex-row border-t border-line">
              <Pane className="min-w-0 flex-1" innerClassName="px-2 pt-1">
                <LazyGraphView height={deskPx - RULER_PX - keysPx - UNDER_GRAPH_PX} />
              </Pane>
              <Divider {...numbers} label={words.widthOfTheNumbers} />
              <Pane style={{ width: numbers.size }} innerClassName="pt-1">
                <LazyIncrementsTable only={DESK_COLUMNS} canType={isTiming} />
              </Pane>
            </View>
          )}
        </View>
      </View>
      {isSheet && (
        <>
          <Divider {...table} label={words.widthOfThePanel} />
          <Pane style={{ width: table.size }} className="bg-ground">
            <PanelArea isPhone={false} onExport={onExport} />
          </Pane>
        </>
      )}
    </View>
  );
}
