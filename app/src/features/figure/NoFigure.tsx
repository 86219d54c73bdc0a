import { figureWords as words } from '../../words/figure';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { View } from 'react-native';
import { putFigureInMiddle, askForPoses } from '../../commands/posing';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { selectActiveWaiting } from '../../store/selectors/active';
import { useThrottledArc, useThrottledEditor, useThrottledSelector } from '../../store/throttled/hooks';

export function NoFigure() {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const isPosing = useThrottledEditor((editor) => editor.tool === 'pose');
  const arcId = useThrottledArc((arc) => arc.id);
  return (
    <Card title={words.noFigureYet}>
      <Words tone="soft" className="mb-3">
        {arcId ? words.noFigureHelp : words.poseHelp}
      </Words>
      <View className="flex-row">
        {arcId ? (
          <Button
            label={words.addAFigure}
            icon={UserPlus}
            kind="brass"
            onPress={() => edit('putFigureOn', { arcId })}
          />
        ) : (
          <Button
            label={isPosing ? words.placeItInTheCentre : words.poseIt}
            icon={UserPlus}
            kind="brass"
            onPress={() => {
              if (isPosing) dispatch(putFigureInMiddle());
              else dispatch(askForPoses());
            }}
          />
        )}
      </View>
    </Card>
  );
}

export function NoFigureYet() {
  const waits = useThrottledSelector((state) => selectActiveWaiting(state) !== null);
  return (
    <Words tone="soft" className="px-1">
      {waits ? words.putItOnAnArcFirst : words.noPoseYet}
    </Words>
  );
}
