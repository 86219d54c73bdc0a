import { timingWords as words } from '../../../words/timing';
import { frameField } from '../../../store/frames';
import { frameRangeWithin } from '@humble/core/views';
import { memo } from 'react';
import { View } from 'react-native';
import { rangePicked } from '../../../store/editorSlice';
import { useAppDispatch } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { goTo, useThrottledFrame } from '../../../playback/playhead';
import { selectActiveTravel } from '../../../store/selectors/selection';
import { rangeOnTravel } from '../../../store/selectors/timingSelection';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { fixed } from '../../../ui/numbers';
import { NumberPair } from '../../../ui/NumberField';
import { NumericText, Words } from '../../../ui/Words';
import { PartFields } from './PartFields';
import {
  useThrottledSelector,
  useThrottledEditor,
  useThrottledShot,
  useThrottledShotValue,
} from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const runText = ({ from, until }: { from: number; until: number }): string =>
  from === until ? String(frameNumber(from)) : `${frameNumber(from)}–${frameNumber(until)}`;

/** Where and when: a stretch of the arc tells its frames, and frames their stretch. Both are shown in every view. */
export const ChosenCard = memo(function ChosenCard() {
  const hasChosen = useThrottledEditor(({ pickedRange }) => pickedRange !== null);
  return hasChosen ? <Chosen /> : <NothingChosen />;
});

function NothingChosen() {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  return (
    <Card title={words.partOfTheArcTitle}>
      <PartFields />
      <Words tone="soft">{words.rangeHelp}</Words>
      <View className="mt-2 flex-row flex-wrap gap-2">
        <Button
          label={words.pickFrames}
          onPress={() =>
            dispatch(
              rangePicked({
                by: 'frames',
                from: frame,
                until: Math.min(lengthFrames, frame + Math.round(rate / 2)),
              }),
            )
          }
        />
      </View>
    </Card>
  );
}

function Chosen() {
  const shot = useThrottledShot();
  const travel = useThrottledSelector(selectActiveTravel);
  const dispatch = useAppDispatch();
  const { text } = useLengths();
  const chosen = useThrottledEditor((editor) => editor.pickedRange);
  if (!travel || !chosen) return null;
  const { lengthFrames, rate } = shot;
  const { runs, stretch } = rangeOnTravel(travel, chosen);
  const inShot = chosen.by === 'frames' ? frameRangeWithin(chosen, lengthFrames) : null;
  const [first] = runs;
  const { arcLength } = travel;
  const share = (arcDistance: number): number => (arcLength > 0 ? arcDistance / arcLength : 0);
  const part = chosen.by === 'stretch' ? chosen : null;
  const percent = (of: number): string => fixed(of * 100, 1);
  const percentOf = (arcDistance: number): string => words.percent(percent(share(arcDistance)));
  const frames = runs.reduce((sum, { from, until }) => sum + until - from + 1, 0);
  return (
    <Card
      title={chosen.by === 'stretch' ? words.partOfTheArcTitle : words.findFrames}
      aside={frames === 1 ? words.oneFrame : words.frameCount(frames)}
      isActive
    >
      {chosen.by === 'frames' && inShot && (
        <NumberPair
          pair={[
            frameField({
              label: words.fromFrame,
              value: inShot.from,
              min: 1,
              max: inShot.until,
              onChange: (from) => dispatch(rangePicked({ ...chosen, from })),
            }),
            frameField({
              label: words.untilFrame,
              value: inShot.until,
              min: inShot.from,
              max: lengthFrames,
              onChange: (until) => dispatch(rangePicked({ ...chosen, until })),
            }),
          ]}
        />
      )}
      {chosen.by === 'stretch' && <PartFields />}
      <View testID="where-and-when">
        {inShot ? (
          <Words tone="soft">
            {words.from} <NumericText strong>{text(stretch.from)}</NumericText>
            <NumericText>{percentOf(stretch.from)}</NumericText> {words.to}{' '}
            <NumericText strong>{text(stretch.to)}</NumericText>
            <NumericText>{percentOf(stretch.to)}</NumericText> {words.onTheArc}{' '}
            <NumericText>{fixed((inShot.until - inShot.from) / rate, 2)}</NumericText> s
          </Words>
        ) : (
          <Words tone="soft">
            {runs.length === 0 ? words.noFramesThere : words.framesBefore}
            <NumericText strong>{runs.map(runText).join(', ')}</NumericText>
            {part && words.partOfTheArc(percent(part.from), percent(part.to))}
          </Words>
        )}
      </View>
      <View className="mt-2 flex-row flex-wrap gap-2">
        {first && (
          <Button label={words.goToFrame(frameNumber(first.from))} onPress={() => goTo(first.from)} />
        )}
        <Button label={words.deselect} onPress={() => dispatch(rangePicked(null))} />
      </View>
    </Card>
  );
}
