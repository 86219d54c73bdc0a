import { arrivalShown, firstFrame, lastFrame, LONGEST_SHOT, type Move, spansOf } from '@humble/core';
import { View } from 'react-native';
import { useActiveMove, useEdit, useShot } from '../../state/hooks';
import { usePlayhead } from '../../state/playhead';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { SpanCard } from './SpanCard';
import { UnrolledArc } from './UnrolledArc';

const EXPOSURES = [
  { value: 1, label: 'On ones' },
  { value: 2, label: 'Twos' },
  { value: 3, label: 'Threes' },
] as const;

/** A move with more spans than this shows the one at the playhead only. */
const MOST_SPANS_SHOWN = 8;

/** When it leaves, when it arrives, and how; the ruler above it on a phone, in the desk on a wide screen. */
export function TimingPanel({ showsRuler }: { readonly showsRuler: boolean }) {
  const shot = useShot();
  const move = useActiveMove();
  const edit = useEdit();
  return (
    <View className="gap-3">
      {showsRuler && <UnrolledArc />}
      {!move && (
        <Card title="Nothing travels here yet">
          <Words tone="soft">Draw an arc, or put a figure on this one in the Figure step.</Words>
        </Card>
      )}
      {move && <Spans move={move} />}
      {move && <MoveCard move={move} />}
      <Card title="The shot" aside={`${fixed(shot.lengthFrames / shot.rate, 2)} s`}>
        <NumberField
          label="Length"
          unit="frames"
          value={shot.lengthFrames}
          min={2}
          max={LONGEST_SHOT}
          onChange={(lengthFrames, gesture) => edit('setLength', { lengthFrames }, gesture)}
        />
        <NumberField
          label="Rate"
          unit="a second"
          value={shot.rate}
          min={1}
          max={240}
          decimals={3}
          onChange={(rate, gesture) => edit('setRate', { rate }, gesture)}
        />
      </Card>
    </View>
  );
}

function MoveCard({ move }: { readonly move: Move }) {
  const shot = useShot();
  const edit = useEdit();
  const first = firstFrame(move);
  const last = lastFrame(move);
  const least = move.marks.length - 1;
  const setFrames = (frames: { first?: number; last?: number }, gesture?: string): void => {
    edit('setMoveFrames', { moveId: move.id, first, last, ...frames }, gesture);
  };
  const arrival = arrivalShown(move, shot);
  return (
    <Card title="The move" aside={`${last - first} intervals`}>
      <NumberField
        label="Starts on frame"
        value={first}
        min={1}
        max={last - least}
        onChange={(frame, gesture) => setFrames({ first: frame }, gesture)}
      />
      <NumberField
        label="Ends on frame"
        value={last}
        min={first + least}
        max={shot.lengthFrames}
        onChange={(frame, gesture) => setFrames({ last: frame }, gesture)}
      />
      <View className="mt-2">
        <Segmented
          label="Exposure"
          value={move.framesHeld}
          options={EXPOSURES}
          onChange={(framesHeld) => edit('setFramesHeld', { moveId: move.id, framesHeld })}
        />
      </View>
      {arrival !== last && (
        <Words role="status" tone="plum" className="mt-2">
          {arrival === null
            ? `Frame ${last} falls between exposures and the shot ends: the arrival is never seen.`
            : `Frame ${last} falls between exposures: the arrival is seen on frame ${arrival}.`}
        </Words>
      )}
    </Card>
  );
}

function Spans({ move }: { readonly move: Move }) {
  const spans = spansOf(move);
  const current = usePlayhead(({ frame }) => {
    const index = spans.findIndex((span) => frame < span.to.frame);
    return index < 0 ? spans.length - 1 : index;
  });
  const isLong = spans.length > MOST_SPANS_SHOWN;
  const shown = isLong ? spans.slice(current, current + 1) : spans;
  return (
    <View className="gap-3">
      {isLong && (
        <Words tone="soft" className="px-1">
          {`Span ${current + 1} of ${spans.length}, at the playhead:`}
        </Words>
      )}
      {shown.map((span) => (
        <SpanCard
          key={span.from.id}
          move={move}
          span={span}
          isCurrent={spans.length > 1 && spans[current] === span}
        />
      ))}
    </View>
  );
}
