import type { Physics } from '@humble/core';
import { isPhysical, type PhysicalShape, physicalTiming } from '@humble/core/views';
import Timer from 'lucide-react-native/icons/timer';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Outcome } from './Outcome';
import { PhysicalFields, PLAIN_PHYSICS } from './PhysicalFields';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { physicsWords as words } from '../../words/physics';
import { selectActiveMove } from '../../store/selectors/active';
import {
  useThrottledArc,
  useThrottledFramesOfMove,
  useThrottledSelector,
  useThrottledShot,
  useThrottledShotValue,
} from '../../store/throttled/hooks';

export const PhysicsCard = memo(function PhysicsCard() {
  const arcId = useThrottledArc(({ id }) => id);
  const shape = useThrottledArc((arc) => (isPhysical(arc.shape) ? arc.shape : null));
  const moveId = useThrottledFramesOfMove()?.id;
  if (arcId === null || !shape || !moveId) return null;
  return <PhysicsCardOf key={`${arcId} ${shape.kind}`} arcId={arcId} shape={shape} moveId={moveId} />;
});

interface PhysicsCardProps {
  readonly arcId: string;
  readonly shape: PhysicalShape;
  readonly moveId: string;
}

function PhysicsCardOf({ arcId, shape, moveId }: PhysicsCardProps) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const unitsPerMm = useThrottledShotValue(({ field }) => field.unitsPerMm);
  /** What it was timed with; null while it is not timed by its weight. */
  const timed = useThrottledSelector((state) => selectActiveMove(state)?.physics ?? null);
  const [wanted, setWanted] = useState<Physics>(PLAIN_PHYSICS);
  const physics = timed ?? wanted;
  return (
    <Card title={timed ? words.movedByWeight : words.byItsWeight}>
      {unitsPerMm !== null && (
        <PhysicalFields
          shape={shape}
          unitsPerMm={unitsPerMm}
          physics={physics}
          onShape={(next, undoGroup) => edit('shapeArc', { arcId, shape: next }, undoGroup)}
          onPhysics={(next, undoGroup) => {
            if (timed) edit('timePhysically', { moveId, ...next }, undoGroup);
            else setWanted(next);
          }}
        />
      )}
      <OutcomeOfMove moveId={moveId} physics={physics} />
      {timed ? (
        <>
          <Words tone="soft" className="mt-2">
            {words.staysPhysical}
          </Words>
          <View className="mt-1 flex-row">
            <Button
              label={words.makePlain}
              kind="quiet"
              onPress={() => {
                if (edit('makePlain', { moveId })) dispatch(messageShown(words.wasMadePlain));
              }}
            />
          </View>
        </>
      ) : (
        <View className="mt-2 flex-row">
          <Button
            label={words.timeIt}
            icon={Timer}
            onPress={() => edit('timePhysically', { moveId, ...physics })}
          />
        </View>
      )}
    </Card>
  );
}

function OutcomeOfMove({ moveId, physics }: { readonly moveId: string; readonly physics: Physics }) {
  const shot = useThrottledShot();
  return <Outcome timing={() => physicalTiming(shot, { moveId, ...physics })} />;
}
