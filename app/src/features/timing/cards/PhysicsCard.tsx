import { type Physics, type Shot, ShotError } from '@humble/core';
import { isPhysical, type PhysicalTiming, physicalTiming, type Rolls } from '@humble/core/views';
import Timer from 'lucide-react-native/icons/timer';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useEdit, useThrottledArc, useThrottledFramesOfMove, useThrottledShot } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { fixed } from '../../../ui/numbers';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';
import { physicsWords as words } from '../../../words/physics';
import { Roundings } from './Roundings';

const ROLLS: readonly { readonly value: Rolls; readonly label: string }[] = [
  { value: 'slides', label: words.slides },
  { value: 'ball', label: words.ball },
  { value: 'cylinder', label: words.cylinder },
  { value: 'hoop', label: words.hoop },
];

const MOST_MINIATURE = 1000;
const MOST_SWINGS = 100;
const MOST_LOST = 95;

type Kind = 'swing' | 'toss' | 'bounces' | 'line';

/** A move on a swing, a toss, bounces or a line, timed as what has weight would take it. */
export const PhysicsCard = memo(function PhysicsCard() {
  const kind = useThrottledArc(({ shape }) => (isPhysical(shape) ? shape.kind : null));
  const moveId = useThrottledFramesOfMove()?.id;
  return kind && moveId ? <PhysicsCardOf key={kind} kind={kind} moveId={moveId} /> : null;
});

function PhysicsCardOf({ kind, moveId }: { readonly kind: Kind; readonly moveId: string }) {
  const edit = useEdit();
  const [physics, setPhysics] = useState<Physics>({ damping: 0, swings: 2, rolls: 'slides', miniature: 1 });
  const set = (some: Partial<Physics>): void => setPhysics({ ...physics, ...some });
  const miniature = {
    label: words.miniature,
    value: physics.miniature,
    min: 0.1,
    max: MOST_MINIATURE,
    decimals: 1,
    onChange: (value: number) => set({ miniature: value }),
  };
  return (
    <Card title={words.byItsWeight}>
      <Words tone="soft" className="mb-2">
        {words[kind]}
      </Words>
      {kind === 'swing' ? (
        <>
          <NumberPair
            pair={[
              {
                label: words.halfSwings,
                value: physics.swings,
                min: 1,
                max: MOST_SWINGS,
                onChange: (swings) => set({ swings }),
              },
              {
                label: words.lostInASwing,
                value: physics.damping * 100,
                min: 0,
                max: MOST_LOST,
                onChange: (percent) => set({ damping: percent / 100 }),
              },
            ]}
          />
          <NumberField {...miniature} />
        </>
      ) : (
        <NumberField {...miniature} />
      )}
      {kind === 'line' && (
        <Segmented
          label={words.whatComesDown}
          value={physics.rolls}
          options={ROLLS}
          onChange={(rolls) => set({ rolls })}
        />
      )}
      <Outcome moveId={moveId} physics={physics} />
      <View className="mt-2 flex-row">
        <Button
          label={words.timeIt}
          icon={Timer}
          onPress={() => edit('timePhysically', { moveId, ...physics })}
        />
      </View>
    </Card>
  );
}

/** What it would come to, or the sentence that says why it comes to nothing. */
function outcomeOf(shot: Shot, moveId: string, physics: Physics): PhysicalTiming | string {
  try {
    return physicalTiming(shot, { moveId, ...physics });
  } catch (error) {
    if (error instanceof ShotError) return error.message;
    throw error;
  }
}

function Outcome({ moveId, physics }: { readonly moveId: string; readonly physics: Physics }) {
  const outcome = outcomeOf(useThrottledShot(), moveId, physics);
  if (typeof outcome === 'string')
    return (
      <Words tone="soft" className="mt-2">
        {outcome}
      </Words>
    );
  const { seconds, frames, rounded } = outcome;
  return (
    <View className="mt-2">
      <Words>{words.itTakes(fixed(seconds, 3), fixed(frames, 2))}</Words>
      <Roundings marks={rounded} />
    </View>
  );
}
