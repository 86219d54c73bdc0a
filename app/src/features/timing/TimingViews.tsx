import { timingWords as words } from '../../words/timing';
import { type ComponentProps, memo, type ReactNode, useDeferredValue } from 'react';
import { View } from 'react-native';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { useThrottledPlayhead } from '../../playback/playhead';
import { settingsChanged } from '../../store/settingsSlice';
import { currentSpan } from '../../store/selectors/timingSelection';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { ChartCard } from './cards/ChartCard';
import { LazyGraphView } from './graph/LazyGraphView';
import { LazyRulerView } from './ruler/LazyRulerView';
import { useThrottledMove, useThrottledEditor, useThrottledShot } from '../../store/throttled/hooks';

const VIEWS = [
  { value: 'ruler', label: words.ruler },
  { value: 'graph', label: words.graph },
  { value: 'chart', label: words.chart },
  { value: 'numbers', label: words.numbers },
] as const;

const GRAPH_HEIGHT = 236;
const NUMBERS_HEIGHT = 236;

interface TimingViewsProps {
  readonly numbers: ReactNode;
  readonly underRuler: ComponentProps<typeof LazyRulerView>['under'];
}

export function TimingViews({ numbers, underRuler }: TimingViewsProps) {
  const { timingView } = useSettings();
  const dispatch = useAppDispatch();
  return (
    <View className="gap-2">
      <Segmented
        label={words.viewOfTheTiming}
        value={timingView}
        options={VIEWS}
        onChange={(next) => dispatch(settingsChanged({ timingView: next }))}
      />
      {timingView === 'ruler' && <LazyRulerView under={underRuler} />}
      {timingView === 'graph' && <LazyGraphView height={GRAPH_HEIGHT} />}
      {timingView === 'chart' && <CurrentChart />}
      {timingView === 'numbers' && <View style={{ height: NUMBERS_HEIGHT }}>{numbers}</View>}
    </View>
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
