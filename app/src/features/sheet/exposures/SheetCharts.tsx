import { incrementsBySize, paceRows } from '@humble/core/sheet';
import { incrementTable } from '@humble/core/views';
import { ScrollView, View } from 'react-native';
import { Card } from '../../../ui/Card';
import { BarGraph, LineGraph } from '../../../ui/charts';
import { fixed } from '../../../ui/numbers';
import { Words } from '../../../ui/Words';
import { exposureSheetWords as words } from '../../../words/exposures';
import { useThrottledMove, useThrottledShot } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const HEIGHT = 170;
const CLASSES = 8;
/** Slower than this share of the quickest it stands. */
const STANDS = 1e-6;

/** The pace of the active figure over the shot, and its increments by size. To be read only. */
export function SheetCharts() {
  const shot = useThrottledShot();
  const move = useThrottledMove();
  if (!move)
    return (
      <View className="p-4">
        <Words tone="soft">{words.chartsNeedAMove}</Words>
      </View>
    );
  const table = incrementTable(shot, move);
  const unit = table.units === 'mm' ? 'mm' : 'units';
  const figure = shot.figures.find(({ id }) => id === move.figureId)!.name;
  const pace = paceRows(table);
  const quickest = pace.reduce((most, row) => Math.max(most, row.pace), 0);
  const moving = pace.filter((row) => row.pace > STANDS * quickest);
  const mean = moving.reduce((sum, row) => sum + row.pace, 0) / Math.max(1, moving.length);
  const sizes = incrementsBySize(table, CLASSES);
  return (
    <ScrollView
      tabIndex={0}
      role="region"
      aria-label={words.charts}
      className="flex-1"
      contentContainerClassName="gap-4 p-4 pt-3"
    >
      <Card title={words.pace} aside={words.paceUnit(unit)}>
        <LineGraph
          label={words.paceChart(figure)}
          labels={pace.map(({ frame }) => String(frameNumber(frame)))}
          values={pace.map((row) => row.pace)}
          decimals={1}
          height={HEIGHT}
          fromZero
          testID="pace-chart"
        />
        <Words tone="soft">{words.mean(`${fixed(mean, 2)} ${unit}`)}</Words>
      </Card>
      <Card title={words.bySize} aside={unit}>
        <BarGraph
          label={words.bySizeChart(figure)}
          labels={sizes.map(({ to }) => fixed(to, 1))}
          values={sizes.map(({ count }) => count)}
          decimals={0}
          height={HEIGHT}
          testID="size-chart"
        />
      </Card>
    </ScrollView>
  );
}
