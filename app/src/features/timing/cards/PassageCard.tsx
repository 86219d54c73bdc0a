import { MAX_SHOT_FRAMES, type Passage, type RoundedMark } from '@humble/core';
import ArrowLeftRight from 'lucide-react-native/icons/arrow-left-right';
import Repeat from 'lucide-react-native/icons/repeat-2';
import Rewind from 'lucide-react-native/icons/rewind';
import { memo, useState } from 'react';
import {
  playOutAndBack,
  reversePassage,
  shiftPassage,
  stretchPassage,
  repeatPassage,
  selectRoundingsOfStretch,
  selectStretchProblem,
  insertTime,
} from '../../../commands/passages';
import { laterMarksChosen, type TimeOf, timeOfChosen } from '../../../store/editorSlice';
import { DURATION_UNITS, durationIn, readDuration } from '../../../store/durations';
import { useAppDispatch, useAppStore } from '../../../store/hooks';
import { selectPassage } from '../../../store/selectors/timingSelection';
import { TERMS } from '../../../words/terms';
import { ActionRow } from '../../../ui/ActionRow';
import { Card } from '../../../ui/Card';
import { NumberField } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { useGestureBaseline } from '../../../ui/useGestureBaseline';
import { Words } from '../../../ui/Words';
import { passageWords as words } from '../../../words/passages';
import { roundingsText } from '../../../commands/roundings';
import { SoftNote } from '../../../ui/SoftNote';
import {
  useThrottledEditor,
  useThrottledSelector,
  useThrottledShotValue,
} from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const LATER = [
  { value: 'follow', label: words.follow },
  { value: 'stay', label: words.stay },
] as const;

const WHOSE = [
  { value: 'figure', label: words.thisFigure },
  { value: 'all', label: words.allFigures },
] as const;

interface WhoseTimeProps {
  readonly value: TimeOf;
  readonly onChange: (value: TimeOf) => void;
}

export function WhoseTime(props: WhoseTimeProps) {
  const isAlone = useThrottledShotValue((shot) => shot.moves.length < 2);
  return isAlone ? null : <Segmented label={words.whoseTime} options={WHOSE} {...props} />;
}

/** Some frames of a move as a whole: how long they last, and which way they are played. */
export const PassageCard = memo(function PassageCard() {
  const from = useThrottledSelector((state) => selectPassage(state)?.from);
  const until = useThrottledSelector((state) => selectPassage(state)?.until);
  if (from === undefined || until === undefined) return null;
  return <PassageCardOf from={from} until={until} />;
});

function PassageCardOf(passage: Passage) {
  const { from, until } = passage;
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const timeOf = useThrottledEditor((editor) => editor.timeOf);
  const laterMarks = useThrottledEditor((editor) => editor.laterMarks);
  const before = useGestureBaseline(passage);
  const [rounded, setRounded] = useState<readonly RoundedMark[]>([]);
  const stretch = (start: Passage, frames: number, undoGroup?: string): void => {
    setRounded(selectRoundingsOfStretch(store.getState(), start, frames, undoGroup));
    dispatch(stretchPassage(start, frames, undoGroup));
  };
  const frames = until - from;
  const rate = useThrottledShotValue((shot) => shot.rate);
  /** What was typed as frames, or why the passage cannot have so many. */
  const read = (text: string, from: number) => {
    const times = (factor: number): number => Math.round(from * factor);
    const wanted = readDuration(text, { from, rate, times });
    const problem = wanted === null ? null : selectStretchProblem(store.getState(), passage, wanted);
    return problem === null ? wanted : { problem };
  };
  return (
    <Card title={words.passage(frameNumber(from), frameNumber(until))} term={TERMS.passage} isActive>
      <WhoseTime value={timeOf} onChange={(value) => dispatch(timeOfChosen(value))} />
      <NumberField
        label={words.itsFrames}
        unit={words.frames}
        moreUnits={DURATION_UNITS}
        value={frames}
        min={1}
        max={MAX_SHOT_FRAMES}
        read={read}
        inUnit={(value, unit) => durationIn(value, unit, rate)}
        onChange={(value, undoGroup) => stretch(before(undoGroup), value, undoGroup)}
      />
      <SoftNote text={roundingsText(rounded)} testID="roundings" />
      <Words tone="soft">{words.laterMarks}</Words>
      <Segmented
        label={words.laterMarks}
        value={laterMarks}
        options={LATER}
        onChange={(value) => dispatch(laterMarksChosen(value))}
      />
      <NumberField
        label={words.shiftBy}
        unit={words.frames}
        value={0}
        min={-MAX_SHOT_FRAMES}
        max={MAX_SHOT_FRAMES}
        onChange={(by, undoGroup) => dispatch(shiftPassage(before(undoGroup), by, undoGroup))}
      />
      <NumberField
        label={words.putInAtThePlayhead}
        unit={words.frames}
        value={0}
        min={-MAX_SHOT_FRAMES}
        max={MAX_SHOT_FRAMES}
        onChange={(count, undoGroup) => dispatch(insertTime(count, undoGroup))}
      />
      <ActionRow
        actions={[
          { label: words.reverse, icon: Rewind, onPress: () => dispatch(reversePassage(passage)) },
          {
            label: words.outAndBack,
            icon: ArrowLeftRight,
            onPress: () => dispatch(playOutAndBack(passage)),
          },
          { label: words.twice, icon: Repeat, onPress: () => dispatch(repeatPassage(passage)) },
        ]}
      />
    </Card>
  );
}
