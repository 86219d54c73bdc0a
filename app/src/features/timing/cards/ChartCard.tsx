import { TERMS } from '../../../words/terms';
import { timingWords as words } from '../../../words/timing';
import { type Chart, type Easing, type Move, type Shot, spansOf, type Toward } from '@humble/core';
import {
  finestStep,
  incrementTable,
  type Ladder,
  ladderOf,
  nearestEasings,
  type NearEasing,
} from '@humble/core/views';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useEdit, useSettings } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { Dialog } from '../../../ui/Dialog';
import { fixed } from '../../../ui/numbers';
import { NumberField } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { NumericText, Words } from '../../../ui/Words';
import { easingInWords, shortNameOf } from '../../../kinds/easings';
import { ChartView } from '../chart/ChartView';
import { useThrottledShot } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

interface ChartCardProps {
  readonly shot: Shot;
  readonly move: Move;
  readonly index: number;
  readonly height?: number;
}

const TOWARD = [
  { value: 'start', label: words.start },
  { value: 'end', label: words.end },
  { value: 'both', label: words.both },
] as const;

const MAX_BETWEEN = 400;
/** By halves the steps soon get finer than a hand can place, so that is for the last few drawings. */
const FEW = 3;
const LAST = [1, 2, 3, 4, 5].map((value) => ({ value, label: String(value) }));

export const ChartCard = memo(function ChartCard({ shot, move, index, height = 236 }: ChartCardProps) {
  const edit = useEdit();
  const { takesLater } = useSettings();
  const [toward, setToward] = useState<Toward>('end');
  const [last, setLast] = useState(FEW);
  const [closing, setClosing] = useState<'halves' | 'thirds' | null>(null);
  const [percent, setPercent] = useState(66);
  const [nearest, setNearest] = useState<readonly NearEasing[] | null>(null);
  const span = spansOf(move)[index];
  if (!span) return null;
  const { from, to } = span;
  if (span.isHold)
    return (
      <Card title={words.chartFromTo(frameNumber(from.frame), frameNumber(to.frame))} term={TERMS.chart}>
        <Words tone="soft">{words.chartOfHold}</Words>
      </Card>
    );
  const ladder = ladderOf(shot, move, index);
  const { rungs } = ladder;
  const make = (chart: Chart): void => {
    edit('makeChart', { moveId: move.id, markId: from.id, chart });
  };
  const close = (kind: 'halves' | 'thirds', few = last, end = toward): void => {
    setClosing(kind);
    setLast(few);
    setToward(end);
    make({ kind, toward: end, last: few });
  };
  const look = (): void => {
    const ticks = rungs.map(({ frame, share }) => ({ x: frame - from.frame, share }));
    setNearest(nearestEasings(ticks, to.frame - from.frame));
  };
  const isTicks = from.easing.kind === 'ticks';
  return (
    <Card
      title={words.chartFromTo(frameNumber(from.frame), frameNumber(to.frame))}
      term={TERMS.chart}
      aside={words.between(rungs.length)}
    >
      <View className="flex-row gap-3">
        <ChartView shot={shot} move={move} index={index} height={height} />
        <View className="min-w-0 flex-1 gap-2">
          <Button
            label={words.even}
            onPress={() => {
              setClosing(null);
              make({ kind: 'even' });
            }}
          />
          <Button label={words.halves} pressed={closing === 'halves'} onPress={() => close('halves')} />
          <Button label={words.thirds} pressed={closing === 'thirds'} onPress={() => close('thirds')} />
          {closing && (
            <>
              <Words tone="soft">{words.closerToward}</Words>
              <Segmented
                label={words.closerToward}
                value={toward}
                options={TOWARD}
                onChange={(end) => close(closing, last, end)}
              />
              <Words tone="soft">{words.forTheLastDrawings}</Words>
              <Segmented
                label={words.forTheLastDrawings}
                value={last}
                options={LAST}
                onChange={(few) => close(closing, few)}
              />
            </>
          )}
        </View>
      </View>
      <TooFine shot={shot} move={move} ladder={ladder} />
      <View className="mt-2">
        <NumberField
          label={words.favouring}
          unit={words.ofTheWay}
          value={percent}
          min={1}
          max={99}
          onChange={(value, undoGroup) => {
            setPercent(value);
            edit(
              'makeChart',
              { moveId: move.id, markId: from.id, chart: { kind: 'favouring', percent: value } },
              undoGroup,
            );
          }}
        />
        <NumberField
          label={words.drawingsBetween}
          value={rungs.length}
          min={0}
          max={MAX_BETWEEN}
          onChange={(count, undoGroup) =>
            edit('setDrawingsBetween', { moveId: move.id, markId: from.id, count, takesLater }, undoGroup)
          }
        />
      </View>
      <View className="mt-1 flex-row flex-wrap gap-2">
        <Button
          label={words.turnEasingIntoTicks}
          disabled={isTicks}
          onPress={() => edit('easingToTicks', { moveId: move.id, markId: from.id })}
        />
        <Button label={words.nearestEasing} disabled={rungs.length === 0} onPress={look} />
      </View>
      {nearest && (
        <NearestDialog
          nearest={nearest}
          displacement={Math.abs(to.fraction - from.fraction)}
          index={index}
          move={move}
          onClose={() => setNearest(null)}
          onChoose={(easing) => edit('setEasing', { moveId: move.id, markId: from.id, easing })}
        />
      )}
    </Card>
  );
});

interface TooFineProps {
  readonly shot: Shot;
  readonly move: Move;
  readonly ladder: Ladder;
}

/** Says which steps of the chart no hand can place. */
function TooFine({ shot, move, ladder }: TooFineProps) {
  const { arcLength } = incrementTable(shot, move);
  const finest = finestStep(
    ladder,
    (ladder.to.fraction - ladder.from.fraction) * arcLength,
    shot.sheet.units,
  );
  if (!finest || finest.tooFine === 0) return null;
  const unit = shot.sheet.units === 'mm' ? 'mm' : words.units.trim();
  return (
    <Words role="status" tone="plum" className="mt-2">
      {words.stepsTooFine(
        finest.tooFine,
        `${fixed(finest.step, finest.step < 0.01 ? 4 : 2)} ${unit}`,
        `${finest.leastByHand} ${unit}`,
      )}
    </Words>
  );
}

interface NearestDialogProps {
  readonly nearest: readonly NearEasing[];
  readonly move: Move;
  readonly index: number;
  /** Share of the arc. */
  readonly displacement: number;
  readonly onChoose: (easing: Easing) => void;
  readonly onClose: () => void;
}

const SHOWN = 5;

function NearestDialog({ nearest, move, displacement, onChoose, onClose }: NearestDialogProps) {
  const shot = useThrottledShot();
  const unit = shot.sheet.units === 'mm' ? 'mm' : 'units';
  const length = useArcLength(move);
  return (
    <Dialog title={words.nearestEasing} isOpen onClose={onClose}>
      <Words tone="soft">{words.nearestEasingHelp}</Words>
      {nearest.slice(0, SHOWN).map(({ easing, error }) => (
        <View key={easingKey(easing)} className="flex-row items-center justify-between gap-3">
          <View className="min-w-0 shrink">
            <Words size="body">{easingInWords(easing)}</Words>
            <NumericText tone="soft">
              {`${fixed(error * displacement * length, 2)} ${unit}, ${fixed(error * 100, 2)} %`}
            </NumericText>
          </View>
          <Button
            label={words.use(shortNameOf(easing))}
            onPress={() => {
              onChoose(easing);
              onClose();
            }}
          />
        </View>
      ))}
    </Dialog>
  );
}

const easingKey = (easing: Easing): string =>
  easing.kind === 'ramped' ? `ramped ${easing.ramp}` : easing.kind;

function useArcLength(move: Move): number {
  const shot = useThrottledShot();
  return incrementTable(shot, move).arcLength;
}
