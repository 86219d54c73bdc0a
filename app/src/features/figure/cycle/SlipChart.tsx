import { type SlipRow } from '@humble/core';
import { LineGraph } from '../../../ui/charts';
import { cycleWords as words } from '../../../words/cycle';
import { frameNumber } from '../../../store/frameNumbers';

const HEIGHT = 150;

interface SlipChartProps {
  readonly rows: readonly SlipRow[];
  readonly fieldUnits: number;
  readonly decimals: number;
}

export function SlipChart({ rows, fieldUnits, decimals }: SlipChartProps) {
  const planted = rows.filter(({ slip }) => slip !== null);
  return (
    <LineGraph
      label={words.slipChart(planted.length)}
      labels={planted.map(({ frame }) => String(frameNumber(frame)))}
      values={planted.map(({ slip }) => slip! / fieldUnits)}
      decimals={decimals}
      height={HEIGHT}
      testID="slip-chart"
    />
  );
}
