import { type Easing, freshEasing, type Move, type Span } from '@humble/core';
import { View } from 'react-native';
import { useEdit } from '../../state/hooks';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';

interface SpanCardProps {
  readonly move: Move;
  readonly span: Span;
  readonly isCurrent: boolean;
}

type Manner = 'even' | 'steady' | 'soft';

const MANNERS = [
  { value: 'even', label: 'Even' },
  { value: 'steady', label: 'Steady' },
  { value: 'soft', label: 'Soft' },
] as const;

const HELP: Record<Manner, string> = {
  even: 'The same increment on every frame.',
  steady: 'Speed grows and falls evenly.',
  soft: 'Speed grows and falls gently at both ends of the ramp.',
};

const mannerOf = (easing: Easing): Manner => (easing.kind === 'even' ? 'even' : easing.ramp);

/** The easing in another manner; a ramp keeps its frames, and a span that had none gets fresh ones. */
function inManner(easing: Easing, manner: Manner, frames: number): Easing {
  if (manner === 'even') return { kind: 'even' };
  const ramp = easing.kind === 'ramped' ? easing : freshEasing(frames);
  return ramp.kind === 'ramped' ? { ...ramp, ramp: manner } : ramp;
}

/** How one span leaves and arrives, in frames. */
export function SpanCard({ move, span: { from, to, frames, isHold }, isCurrent }: SpanCardProps) {
  const edit = useEdit();
  const { easing } = from;
  const setEasing = (next: Easing, gesture?: string): void => {
    edit('setEasing', { moveId: move.id, markId: from.id, easing: next }, gesture);
  };
  if (isHold)
    return (
      <Card title={`Hold ${from.frame} → ${to.frame}`} aside={`${frames} frames`} isActive={isCurrent} />
    );
  const manner = mannerOf(easing);
  const isTooLong = easing.kind === 'ramped' && easing.leaveFrames + easing.arriveFrames > frames;
  return (
    <Card title={`Frames ${from.frame} → ${to.frame}`} aside={`${frames} increments`} isActive={isCurrent}>
      {easing.kind === 'ramped' && (
        <>
          <NumberField
            label="Leave slowly over"
            unit="frames"
            value={easing.leaveFrames}
            min={0}
            max={frames}
            onChange={(leaveFrames, gesture) => setEasing({ ...easing, leaveFrames }, gesture)}
          />
          <NumberField
            label="Arrive slowly over"
            unit="frames"
            value={easing.arriveFrames}
            min={0}
            max={frames}
            onChange={(arriveFrames, gesture) => setEasing({ ...easing, arriveFrames }, gesture)}
          />
        </>
      )}
      <View className="mt-2">
        <Segmented
          label="Easing"
          value={manner}
          options={MANNERS}
          onChange={(next) => setEasing(inManner(easing, next, frames))}
        />
      </View>
      <Words tone={isTooLong ? 'plum' : 'soft'} className="mt-2">
        {isTooLong ? `Together more than ${frames} frames: both are shortened in proportion.` : HELP[manner]}
      </Words>
    </Card>
  );
}
