import { timingWords as words } from '../../words/timing';
import ArrowLeftRight from 'lucide-react-native/icons/arrow-left-right';
import ChartLine from 'lucide-react-native/icons/chart-line';
import Rows3 from 'lucide-react-native/icons/rows-3';
import Ruler from 'lucide-react-native/icons/ruler';
import Table2 from 'lucide-react-native/icons/table-2';
import { memo, type ReactNode, useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { useThrottledPlayhead } from '../../playback/playhead';
import { settingsChanged } from '../../store/settingsSlice';
import { currentSpan } from '../../store/selectors/timingSelection';
import { IconButton } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { Words } from '../../ui/Words';
import { ChartCard } from './cards/ChartCard';
import { LazyGraphView } from './graph/LazyGraphView';
import { LazyRulerView } from './ruler/LazyRulerView';
import { useThrottledMove, useThrottledEditor, useThrottledShot } from '../../store/throttled/hooks';

const VIEWS = [
  { value: 'ruler', label: words.ruler, icon: Ruler },
  { value: 'graph', label: words.graph, icon: ChartLine },
  { value: 'chart', label: words.chart, icon: Rows3 },
  { value: 'numbers', label: words.numbers, icon: Table2 },
] as const;

const GRAPH_HEIGHT = 236;
const NUMBERS_HEIGHT = 236;

/** Keys of tracks have their place in the Figure step. */
const nothing = () => null;

interface TimingViewsProps {
  readonly numbers: ReactNode;
}

export function TimingViews({ numbers }: TimingViewsProps) {
  const { timingView } = useSettings();
  return (
    <View className="flex-row items-end gap-1">
      <View className="min-w-0 flex-1">
        {timingView === 'ruler' && <LazyRulerView under={nothing} />}
        {timingView === 'graph' && <LazyGraphView height={GRAPH_HEIGHT} />}
        {timingView === 'chart' && <CurrentChart />}
        {timingView === 'numbers' && <View style={{ height: NUMBERS_HEIGHT }}>{numbers}</View>}
      </View>
      <SwapButton />
    </View>
  );
}

/** Another view of the timing in this one's place. */
function SwapButton() {
  const { timingView } = useSettings();
  const dispatch = useAppDispatch();
  const [isChoosing, setChoosing] = useState(false);
  return (
    <>
      <IconButton label={words.viewOfTheTiming} icon={ArrowLeftRight} onPress={() => setChoosing(true)} />
      {isChoosing && (
        <Menu
          title={words.viewOfTheTiming}
          onClose={() => setChoosing(false)}
          items={VIEWS.map(({ value, label, icon }) => ({
            label,
            icon,
            isChosen: value === timingView,
            onPress: () => void dispatch(settingsChanged({ timingView: value })),
          }))}
        />
      )}
    </>
  );
}

/** The chart of the span that is worked on. Drawn in slices: another span's chart is much to draw at once. */
export const CurrentChart = memo(function CurrentChart() {
  const move = useThrottledMove();
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const index = useThrottledPlayhead(({ frame }) => (move ? currentSpan(move, selected, frame) : 0));
  const drawn = {
    shot: useDeferredValue(useThrottledShot()),
    move: useDeferredValue(move),
    index: useDeferredValue(index),
  };
  if (!drawn.move) return <Words tone="soft">{words.noChartYet}</Words>;
  return <ChartCard shot={drawn.shot} move={drawn.move} index={drawn.index} />;
});
