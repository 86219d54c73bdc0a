import { frameNumber, type SlipRow } from '@humble/core';
import { useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-chart-kit';
import { colour } from '../../../ui/colour';
import { MONO } from '../../../ui/fonts';
import { cycleWords as words } from '../../../words/cycle';

const HEIGHT = 150;
/** So many frames are written under the chart. */
const MOST_LABELS = 6;

interface SlipChartProps {
  readonly rows: readonly SlipRow[];
  /** Field units in a unit of the chart. */
  readonly fieldUnits: number;
  readonly decimals: number;
}

/** Slip of each exposure on which something stays planted. */
export function SlipChart({ rows, fieldUnits, decimals }: SlipChartProps) {
  const [width, setWidth] = useState(0);
  const planted = rows.filter(({ slip }) => slip !== null);
  const every = Math.max(1, Math.ceil(planted.length / MOST_LABELS));
  return (
    <View
      role="img"
      aria-label={words.slipChart(planted.length)}
      testID="slip-chart"
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      style={{ height: HEIGHT }}
    >
      {width > 0 && planted.length > 1 && (
        <LineChart
          data={{
            labels: planted.map(({ frame }, i) => (i % every === 0 ? String(frameNumber(frame)) : '')),
            datasets: [{ data: planted.map(({ slip }) => slip! / fieldUnits), strokeWidth: 2 }],
          }}
          width={width}
          height={HEIGHT}
          withDots={false}
          withShadow={false}
          withVerticalLines={false}
          segments={3}
          chartConfig={{
            backgroundGradientFromOpacity: 0,
            backgroundGradientToOpacity: 0,
            decimalPlaces: decimals,
            color: () => colour.indigo,
            labelColor: () => colour.soft,
            propsForBackgroundLines: { stroke: colour.line, strokeDasharray: '' },
            propsForLabels: { fontFamily: MONO, fontSize: 11 },
          }}
          style={{ marginLeft: -8, paddingTop: 6 }}
        />
      )}
    </View>
  );
}
