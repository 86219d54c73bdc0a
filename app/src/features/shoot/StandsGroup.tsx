import { deviationsOf, setReading } from '@humble/core/shoot';
import Check from 'lucide-react-native/icons/check';
import Spline from 'lucide-react-native/icons/spline';
import { useMemo } from 'react';
import { View } from 'react-native';
import { arcThroughStand } from '../../commands/shooting';
import { goTo, useThrottledFrame } from '../../playback/playhead';
import { frameNumber } from '../../store/frameNumbers';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { selectActiveMove } from '../../store/selectors/active';
import { selectToldPicture } from '../../store/selectors/shooting';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { ActionRow } from '../../ui/ActionRow';
import { LineGraph } from '../../ui/charts';
import { NumberField } from '../../ui/NumberField';
import { NumericText, Words } from '../../ui/Words';
import { shootWords as words } from '../../words/shoot';
import { deviationText, Replanning, useToldDeviation } from './Replanning';
import { useMeasuredStep } from './useMeasuredStep';

const CHART_PX = 92;

export function StandsSummary() {
  const deviation = useToldDeviation();
  const units = setReading(useThrottledShot()).units;
  return (
    <NumericText tone="persimmon">
      {deviation ? deviationText(deviation, units === 'mm' ? 'mm' : 'units') : ''}
    </NumericText>
  );
}

/** Where the active figure really stood, and how far that is from its plan. */
export function StandsGroup() {
  const shot = useThrottledShot();
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const move = useThrottledSelector(selectActiveMove);
  const told = useThrottledSelector((state) => selectToldPicture(state, frame));
  const deviations = useMemo(() => (move ? deviationsOf(shot, move.id) : []), [shot, move]);
  const step = useMeasuredStep(told, move);
  if (!move || !told) return <Words tone="soft">{words.takeOneFirst}</Words>;
  const isTold = told.actuals.some(({ moveId }) => moveId === move.id);
  const charts = [
    { label: words.deviationChart, values: deviations.map(({ along }) => along), testID: 'deviation-along' },
    { label: words.acrossChart, values: deviations.map(({ across }) => across), testID: 'deviation-across' },
  ];
  return (
    <View className="gap-2">
      <View className="flex-row items-baseline justify-between">
        <Words strong>{words.onFrame(frameNumber(told.frame))}</Words>
        {!isTold && <Words tone="soft">{words.notTold}</Words>}
      </View>
      <Replanning />
      {step && <NumberField label={words.measuredStep} {...step} />}
      <ActionRow
        actions={[
          {
            label: words.asPlanned,
            icon: Check,
            disabled: !isTold,
            onPress: () => edit('standsAsPlanned', { takenId: told.id, moveId: move.id }),
          },
          {
            label: words.arcThrough,
            icon: Spline,
            disabled: !isTold,
            onPress: () => dispatch(arcThroughStand()),
          },
        ]}
      />
      {deviations.length > 1 &&
        charts.map((chart) => (
          <View key={chart.testID}>
            <Words tone="soft" size="tiny">
              {chart.label}
            </Words>
            <LineGraph
              {...chart}
              isActual
              labels={deviations.map((one) => `${frameNumber(one.frame)}`)}
              decimals={1}
              height={CHART_PX}
              at={deviations.findIndex((one) => one.frame === told.frame)}
              onPick={(i) => goTo(deviations[i]!.frame)}
            />
          </View>
        ))}
    </View>
  );
}
