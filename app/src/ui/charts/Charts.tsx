import { useState } from 'react';
import { View } from 'react-native';
import { BarChart, LineChart } from 'react-native-chart-kit';
import { colour } from '../colour';
import { MONO } from '../fonts';
import type { ChartProps } from './chartProps';

/** So many labels are written under a chart. */
const MOST_LABELS = 6;
/** Of longer rows only so many values are drawn: a screen shows no more. */
const MOST_VALUES = 240;

/** Some of many labels, evenly, so that those that are written keep apart. */
function fewOf(labels: readonly string[], most = MOST_LABELS): string[] {
  const every = Math.max(1, Math.ceil(labels.length / most));
  return labels.map((label, i) => (i % every === 0 ? label : ''));
}

const config = (decimals: number) => ({
  backgroundGradientFromOpacity: 0,
  backgroundGradientToOpacity: 0,
  fillShadowGradientFromOpacity: 0.75,
  fillShadowGradientToOpacity: 0.75,
  fillShadowGradient: colour.indigo,
  decimalPlaces: decimals,
  barPercentage: 0.6,
  color: () => colour.indigo,
  labelColor: () => colour.soft,
  propsForBackgroundLines: { stroke: colour.line, strokeDasharray: '' },
  propsForLabels: { fontFamily: MONO, fontSize: 11 },
});

/** Every n-th value, the largest of each n: a peak is not lost. */
function thinned({ labels, values }: Pick<ChartProps, 'labels' | 'values'>) {
  const every = Math.ceil(values.length / MOST_VALUES);
  if (every <= 1) return { labels, values };
  const groups = Array.from({ length: Math.ceil(values.length / every) }, (_, i) => i * every);
  return {
    labels: groups.map((i) => labels[i]!),
    values: groups.map((i) =>
      values.slice(i, i + every).reduce((most, v) => (Math.abs(v) > Math.abs(most) ? v : most)),
    ),
  };
}

/** A frame of the width that there is, for a chart that is only looked at. */
function Framed({
  props,
  chart,
}: {
  readonly props: ChartProps;
  readonly chart: (width: number) => React.ReactNode;
}) {
  const [width, setWidth] = useState(0);
  return (
    <View
      role="img"
      aria-label={props.label}
      testID={props.testID}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      style={{ height: props.height }}
    >
      {width > 0 && props.values.length > 1 && chart(width)}
    </View>
  );
}

/** A line through values in order. */
export function LineGraph(props: ChartProps) {
  const { labels, values } = thinned(props);
  return (
    <Framed
      props={props}
      chart={(width) => (
        <LineChart
          data={{ labels: fewOf(labels), datasets: [{ data: [...values], strokeWidth: 2 }] }}
          width={width}
          height={props.height}
          withDots={false}
          withShadow={false}
          withVerticalLines={false}
          fromZero={props.fromZero}
          segments={3}
          chartConfig={config(props.decimals)}
          style={{ marginLeft: -8, paddingTop: 14 }}
        />
      )}
    />
  );
}

/** A bar for each value. */
export function BarGraph(props: ChartProps) {
  return (
    <Framed
      props={props}
      chart={(width) => (
        <BarChart
          data={{ labels: fewOf(props.labels, props.labels.length), datasets: [{ data: [...props.values] }] }}
          width={width}
          height={props.height}
          yAxisLabel=""
          yAxisSuffix=""
          fromZero
          segments={3}
          chartConfig={config(props.decimals)}
          style={{ marginLeft: -8, paddingTop: 14 }}
        />
      )}
    />
  );
}
