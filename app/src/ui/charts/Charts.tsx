import { type ReactElement, useRef, useState } from 'react';
import { type GestureResponderEvent, Pressable, View } from 'react-native';
import { BarChart, LineChart } from 'react-native-chart-kit';
import { Path } from 'react-native-svg';
import { colour } from '../colour';
import { MONO } from '../fonts';
import type { ChartProps } from './chartProps';

/** So many labels are written under a chart. */
const MAX_LABELS = 6;
/** Of longer rows only so many values are drawn: a screen shows no more. */
const MAX_VALUES = 240;

/** Room above a chart, pixels. */
const TOP_PX = 14;

/** Some of many labels, evenly, so that those that are written keep apart. */
function fewOf(labels: readonly string[], most = MAX_LABELS): string[] {
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

const ACTUAL = { color: () => colour.persimmon, strokeDashArray: [5, 4] };

/** Every n-th value, the largest of each n: a peak is not lost. */
function thinned({ labels, values }: Pick<ChartProps, 'labels' | 'values'>) {
  const every = Math.ceil(values.length / MAX_VALUES);
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
      style={{ height: props.height + TOP_PX }}
    >
      {width > 0 && props.values.length > 1 && chart(width)}
    </View>
  );
}

/** Where a chart draws, pixels of its own. */
interface Room {
  readonly width: number;
  readonly height: number;
  readonly paddingRight: number;
  readonly paddingTop: number;
}

/** The package keeps a quarter of the height for its labels. */
const PLOT_SHARE = 0.75;

const Borders = ({ at, room }: { readonly at: readonly number[]; readonly room: Room }) => (
  <Path
    d={at
      .map((share) => room.paddingRight + share * (room.width - room.paddingRight))
      .map((x) => `M${x.toFixed(1)} ${room.paddingTop}v${room.height * PLOT_SHARE}`)
      .join('')}
    stroke={colour.soft}
    strokeDasharray="3 3"
    testID="chart-borders"
  />
);

/** The package draws n values at n steps of its width: the last of them stands a step before its end. */
const xOf = (index: number, count: number, { width, paddingRight: left }: Room): number =>
  left + (index * (width - left)) / count;

const At = ({
  index,
  count,
  room,
}: {
  readonly index: number;
  readonly count: number;
  readonly room: Room;
}) =>
  index < 0 ? null : (
    <Path
      d={`M${xOf(index, count, room).toFixed(1)} ${room.paddingTop}v${room.height * PLOT_SHARE}`}
      stroke={colour.persimmon}
      strokeWidth={1.5}
      testID="chart-at"
    />
  );

/** A chart is drawn so far to the left of its frame, pixels. */
const SHIFT_PX = 8;

/** The package keeps so much at the left of a chart for its labels, pixels. */
const LABELS_PX = 64;

interface PickedProps {
  readonly props: ChartProps;
  readonly width: number;
  readonly children: ReactElement;
}

/** A tap beside a value goes there, where a chart says what that does. */
function Picked({ props, width, children }: PickedProps) {
  const area = useRef<View>(null);
  const { values, onPick } = props;
  if (!onPick) return children;
  const pick = ({ nativeEvent: { pageX } }: GestureResponderEvent): void => {
    const step = (width - LABELS_PX) / Math.max(1, values.length);
    area.current?.measureInWindow((left) => {
      const index = Math.round((pageX - left + SHIFT_PX - LABELS_PX) / step);
      onPick(Math.min(values.length - 1, Math.max(0, index)));
    });
  };
  return (
    <Pressable ref={area} accessible={false} tabIndex={-1} onPress={pick}>
      {children}
    </Pressable>
  );
}

/** A line through values in order. */
export function LineGraph(props: ChartProps) {
  const { labels, values } = thinned(props);
  return (
    <Framed
      props={props}
      chart={(width) => (
        <Picked props={props} width={width}>
          <LineChart
            data={{
              labels: fewOf(labels),
              datasets: [{ data: [...values], strokeWidth: 2, ...(props.isActual && ACTUAL) }],
            }}
            width={width}
            height={props.height}
            withDots={false}
            withShadow={false}
            withVerticalLines={false}
            fromZero={props.fromZero}
            segments={3}
            decorator={(room: Room) => (
              <>
                <Borders at={props.borders ?? []} room={room} />
                <At index={props.at ?? -1} count={props.values.length} room={room} />
              </>
            )}
            chartConfig={config(props.decimals)}
            style={{ marginLeft: -SHIFT_PX, paddingTop: TOP_PX }}
          />
        </Picked>
      )}
    />
  );
}

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
          style={{ marginLeft: -SHIFT_PX, paddingTop: TOP_PX }}
        />
      )}
    />
  );
}
