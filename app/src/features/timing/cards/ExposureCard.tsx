import { timingWords as words } from '../../../words/timing';
import { TERMS } from '../../../words/terms';
import { frameField } from '../../../store/frames';
import { beginsExposure, type FramesHeld, isSkipped, type Move, shownFrame } from '@humble/core';
import MoveIcon from 'lucide-react-native/icons/move';
import Pause from 'lucide-react-native/icons/pause';
import Shrink from 'lucide-react-native/icons/fold-horizontal';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { useThrottledFrame } from '../../../playback/playhead';
import { ActionRow } from '../../../ui/ActionRow';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberPair } from '../../../ui/NumberField';
import { useGestureBaseline } from '../../../ui/useGestureBaseline';
import { Words } from '../../../ui/Words';
import {
  useThrottledFramesOfMove,
  useThrottledEditor,
  useThrottledShotValue,
} from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const MAX_COORDINATE = 1e5;

const HELD = [
  { value: 1, label: words.ones },
  { value: 2, label: words.twos },
  { value: 3, label: words.threes },
] as const;

export const ExposureCard = memo(function ExposureCard() {
  const move = useThrottledFramesOfMove();
  return move ? <ExposureCardOf move={move} /> : null;
});

function ExposureCardOf({ move }: { readonly move: Move }) {
  const { field: length } = useLengths();
  const frame = useThrottledFrame();
  const edit = useEdit();
  const shown = useThrottledShotValue((shot) => shownFrame(move, shot, frame));
  const isSkippedHere = isSkipped(move, frame) && beginsExposure(move, frame);
  const on = isSkippedHere ? frame : shown;
  const cut = move.skips.find((skip) => skip.cut && skip.frame === on);
  const override = move.overrides.find((one) => one.frame === on);
  const fromStart = useGestureBaseline(override);
  const moveId = move.id;
  if (!beginsExposure(move, on)) return null;
  const put = (by: { dx?: number; dy?: number }, undoGroup?: string): void => {
    const start = fromStart(undoGroup) ?? { dx: 0, dy: 0 };
    edit('putByHand', { moveId, frame: on, dx: start.dx, dy: start.dy, ...by }, undoGroup);
  };
  const byHand = { min: -MAX_COORDINATE, max: MAX_COORDINATE, decimals: 2 };
  return (
    <Card title={words.pictureOnFrame(frameNumber(on))} aside={isSkippedHere ? words.skipped : undefined}>
      {isSkippedHere ? (
        <View className="flex-row">
          <Button label={words.restorePicture} onPress={() => edit('bringBack', { moveId, frame: on })} />
        </View>
      ) : (
        <ActionRow
          actions={[
            {
              label: words.skipAndHold,
              icon: Pause,
              onPress: () => edit('skipExposure', { moveId, frame: on, closesUp: false }),
            },
            {
              label: words.skipAndCloseTheGap,
              icon: Shrink,
              onPress: () => edit('skipExposure', { moveId, frame: on, closesUp: true }),
            },
            !override && { label: words.placeByHand, icon: MoveIcon, onPress: () => put({}) },
          ]}
        />
      )}
      {cut && (
        <View className="mb-2 flex-row">
          <Button
            label={words.restoreCut(frameNumber(on))}
            onPress={() => edit('bringBack', { moveId, frame: on })}
          />
        </View>
      )}
      {override && (
        <>
          <NumberPair
            pair={[
              length({
                ...byHand,
                label: words.byHandAcross,
                value: override.dx,
                onChange: (dx, undoGroup) => put({ dx }, undoGroup),
              }),
              length({
                ...byHand,
                label: words.byHandDown,
                value: override.dy,
                onChange: (dy, undoGroup) => put({ dy }, undoGroup),
              }),
            ]}
          />
          <View className="flex-row flex-wrap gap-2">
            <Button label={words.backToPlan} onPress={() => edit('backOnPlan', { moveId, frames: [on] })} />
            {move.overrides.length > 1 && (
              <Button label={words.allBackToPlan} onPress={() => edit('backOnPlan', { moveId })} />
            )}
          </View>
        </>
      )}
    </Card>
  );
}

export const ExposuresCard = memo(function ExposuresCard() {
  const move = useThrottledFramesOfMove();
  return move ? <ExposuresCardOf move={move} /> : null;
});

function ExposuresCardOf({ move }: { readonly move: Move }) {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const edit = useEdit();
  const chosen = useThrottledEditor((editor) =>
    editor.pickedRange?.by === 'frames' ? editor.pickedRange : null,
  );
  const [range, setRange] = useState<{ from: number; until: number }>({ from: 1, until: lengthFrames });
  const { from, until } = chosen ?? range;
  // What was skipped or put by hand before the exposures were changed may begin none now.
  const resting = [...move.skips.filter(({ cut }) => !cut), ...move.overrides]
    .map(({ frame }) => frame)
    .filter((frame) => !beginsExposure(move, frame))
    .sort((a, b) => a - b);
  const hold = (framesHeld: FramesHeld): void => {
    edit('setRangeHeld', { moveId: move.id, from, until, framesHeld });
  };
  return (
    <Card
      title={words.exposureByRange}
      term={TERMS.exposure}
      aside={move.exposures.length > 0 ? `${move.exposures.length}` : undefined}
    >
      {chosen ? (
        <Words tone="soft">{words.selectedFramesTo(frameNumber(from), frameNumber(until))}</Words>
      ) : (
        <>
          <NumberPair
            pair={[
              frameField({
                label: words.fromFrame,
                value: from,
                min: 1,
                max: until,
                onChange: (value) => setRange({ from: value, until }),
              }),
              frameField({
                label: words.untilFrame,
                value: until,
                min: from,
                max: lengthFrames,
                onChange: (value) => setRange({ from, until: value }),
              }),
            ]}
          />
        </>
      )}
      <View className="mt-1 flex-row gap-2">
        {HELD.map(({ value, label }) => (
          <Button key={value} label={label} className="flex-1 px-1" onPress={() => hold(value)} />
        ))}
      </View>
      {move.exposures.map((one) => (
        <View key={one.from} className="flex-row items-center justify-between">
          <Words>{`${frameNumber(one.from)} to ${frameNumber(one.until)}: ${HELD[one.framesHeld - 1]!.label.toLowerCase()}`}</Words>
          <Button
            label={words.resetTo(frameNumber(one.from), frameNumber(one.until))}
            kind="quiet"
            onPress={() =>
              edit('setRangeHeld', {
                moveId: move.id,
                from: one.from,
                until: one.until,
                framesHeld: move.framesHeld,
              })
            }
          />
        </View>
      ))}
      {resting.length > 0 && (
        <Words role="status" tone="plum" className="mt-2">
          {words.restingNote(resting.map(frameNumber).join(', '))}
        </Words>
      )}
    </Card>
  );
}
