import { timingWords as words } from '../../../words/timing';
import { TERMS } from '../../../words/terms';
import { frameField } from '../../../store/frames';
import {
  endsPastShot,
  firstFrame,
  lastFrame,
  lastFrameFor,
  MAX_SHOT_FRAMES,
  type Move,
  type Outside,
} from '@humble/core';
import Eraser from 'lucide-react-native/icons/eraser';
import Images from 'lucide-react-native/icons/images';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { ActionRow } from '../../../ui/ActionRow';
import { Card } from '../../../ui/Card';
import { fixed } from '../../../ui/numbers';
import { type BeyondMost, NumberPair } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { NumericText, Words } from '../../../ui/Words';
import { DurationField } from './DurationField';
import { FindingNotes } from './FindingNotes';
import { PicturesDialog } from './PicturesDialog';
import {
  useThrottledArc,
  useThrottledFramesOfMove,
  useThrottledShotValue,
} from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const EXPOSURES = [
  { value: 1, label: words.onOnes },
  { value: 2, label: words.twos },
  { value: 3, label: words.threes },
] as const;

const OUTSIDE: readonly { readonly value: Outside; readonly label: string }[] = [
  { value: 'hold', label: words.hold },
  { value: 'repeat', label: words.repeat },
  { value: 'swing', label: words.swing },
  { value: 'continue', label: words.continue },
];

export const MoveCard = memo(function MoveCard() {
  const move = useThrottledFramesOfMove();
  return move ? <MoveCardOf move={move} /> : null;
});

function MoveCardOf({ move }: { readonly move: Move }) {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const edit = useEdit();
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
  const [isSpreading, setSpreading] = useState(false);
  const first = firstFrame(move);
  const last = lastFrame(move);
  const least = move.marks.length - 1;
  const setFrames = (frames: { first?: number; last?: number }, undoGroup?: string): void => {
    edit('setMoveFrames', { moveId: move.id, first, last, ...frames }, undoGroup);
  };
  const lastOfShot = lastFrameFor(lengthFrames, isClosed);
  const endsLater: BeyondMost = {
    sentence: words.isTheLastFrame(
      frameNumber(lastOfShot),
      isClosed ? words.thatALoopInThisShot : words.ofTheShot,
    ),
    label: words.makeTheShotLonger,
    onPress: (frame) => {
      edit('setMoveFrames', {
        moveId: move.id,
        first,
        last: Math.min(frame, MAX_SHOT_FRAMES),
        lengthens: true,
      });
    },
  };
  const isPast = endsPastShot(move, { lengthFrames });
  return (
    <Card title={words.theMove} term={TERMS.move} aside={`${fixed((last - first) / rate, 2)} s`}>
      <DurationField move={move} />
      <NumberPair
        pair={[
          frameField({
            label: words.startsOnFrame,
            value: first,
            min: 1,
            max: last - least,
            onChange: (frame, undoGroup) => setFrames({ first: frame }, undoGroup),
          }),
          frameField({
            label: words.endsOnFrame,
            value: last,
            min: first + least,
            max: lastOfShot,
            beyondMost: endsLater,
            onChange: (frame, undoGroup) => setFrames({ last: frame }, undoGroup),
          }),
        ]}
      />
      {isPast && <Words tone="soft">{words.loopEndHelp}</Words>}
      <View className="mt-2">
        <Segmented
          label={words.exposure}
          value={move.framesHeld}
          options={EXPOSURES}
          onChange={(framesHeld) => edit('setFramesHeld', { moveId: move.id, framesHeld })}
        />
      </View>
      <FindingNotes check="unseenArrival" move={move} />
      {(['before', 'after'] as const).map((end) => (
        <View key={end} className="mt-3 gap-1">
          <Words tone="soft">{end === 'before' ? words.beforeTheFirstMark : words.afterTheLastMark}</Words>
          <Segmented
            label={end === 'before' ? words.beforeTheFirstMark : words.afterTheLastMark}
            value={move[end]}
            options={OUTSIDE}
            onChange={(how) => edit('setOutside', { moveId: move.id, [end]: how })}
          />
        </View>
      ))}
      <ActionRow
        actions={[
          { label: words.numberOfPictures, icon: Images, onPress: () => setSpreading(true) },
          {
            label: words.clearTiming,
            icon: Eraser,
            isRemoval: true,
            onPress: () => edit('clearTiming', { moveId: move.id }),
          },
        ]}
      />
      {isSpreading && <PicturesDialog move={move} isClosed={isClosed} onClose={() => setSpreading(false)} />}
    </Card>
  );
}

export function MoveSummary() {
  const move = useThrottledFramesOfMove();
  return (
    move && (
      <NumericText tone="soft">
        {words.framesInMove(frameNumber(firstFrame(move)), frameNumber(lastFrame(move)))}
      </NumericText>
    )
  );
}
