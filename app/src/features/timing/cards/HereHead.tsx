import { type Mark, type Move, spansOf } from '@humble/core';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { memo } from 'react';
import { View } from 'react-native';
import { selectNextMark } from '../../../commands/timing';
import { useThrottledFrame } from '../../../playback/playhead';
import { frameNumber } from '../../../store/frameNumbers';
import { useAppDispatch } from '../../../store/hooks';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { useThrottledMove } from '../../../store/throttled/hooks';
import { IconButton } from '../../../ui/Button';
import { TermTitle } from '../../../ui/TermTitle';
import { NumericText } from '../../../ui/Words';
import { TERMS } from '../../../words/terms';
import { timingWords as words } from '../../../words/timing';
import { useMarksAtHand } from './useMarksAtHand';

/** What is at hand on this frame, between the ways to the mark before and after it. */
export const HereHead = memo(function HereHead() {
  const move = useThrottledMove();
  const frame = useThrottledFrame();
  const marks = useMarksAtHand();
  const dispatch = useAppDispatch();
  if (!move) return null;
  const span = spansOf(move)[currentSpan(move, [], frame)];
  const [first, last] = [move.marks[0]!, move.marks[move.marks.length - 1]!];
  const isBetween = marks.length === 0 && span && frame > first.frame && frame < last.frame;
  return (
    <View className="-my-2 flex-row items-center justify-between">
      <IconButton
        label={words.previousMark}
        icon={ChevronLeft}
        disabled={frame <= first.frame}
        onPress={() => dispatch(selectNextMark(-1))}
      />
      <View className="shrink flex-row flex-wrap items-baseline justify-center gap-x-2">
        <TermTitle title={titleOf(move, marks, frame)} term={marks.length > 0 ? TERMS.mark : TERMS.span} />
        {isBetween && !span.isHold && <NumericText tone="soft">{words.increments(span.frames)}</NumericText>}
        {marks.length === 1 && marks[0]!.label !== '' && (
          <NumericText tone="soft">{marks[0]!.label}</NumericText>
        )}
      </View>
      <IconButton
        label={words.nextMark}
        icon={ChevronRight}
        disabled={frame >= last.frame}
        onPress={() => dispatch(selectNextMark(1))}
      />
    </View>
  );
});

function titleOf(move: Move, marks: readonly Mark[], frame: number): string {
  if (marks.length > 1) return words.marks(marks.length);
  if (marks[0]) return words.markOnFrame(frameNumber(marks[0].frame));
  if (frame < move.marks[0]!.frame) return words.beforeTheFirstMark;
  const span = spansOf(move)[currentSpan(move, [], frame)];
  if (!span || frame > span.to.frame) return words.afterTheLastMark;
  const ends = [frameNumber(span.from.frame), frameNumber(span.to.frame)] as const;
  return span.isHold ? words.holdFromTo(...ends) : words.spanFromTo(...ends);
}
