import UserPlus from 'lucide-react-native/icons/user-plus';
import { View } from 'react-native';
import { figurePutInMiddle, posesAsked } from '../../commands/posing';
import { useAppDispatch, useEdit, useThrottledArc, useThrottledEditor } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';

/** Where nothing rides the arc, or there is no arc: how a figure is had. */
export function NoFigure() {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const isPosing = useThrottledEditor((editor) => editor.tool === 'pose');
  const arcId = useThrottledArc((arc) => arc.id);
  return (
    <Card title="No figure yet">
      <Words tone="soft" className="mb-3">
        {arcId
          ? 'This arc has no figure. Add one: it starts at the beginning of the arc and travels to its end.'
          : 'Place it on one frame, then somewhere else on another: the arc and its marks follow. Or draw the arc first, in the Arc step.'}
      </Words>
      <View className="flex-row">
        {arcId ? (
          <Button
            label="Add a figure"
            icon={UserPlus}
            kind="brass"
            onPress={() => edit('putFigureOn', { arcId })}
          />
        ) : (
          <Button
            label={isPosing ? 'Place it in the centre' : 'Pose it'}
            icon={UserPlus}
            kind="brass"
            onPress={() => {
              if (isPosing) dispatch(figurePutInMiddle());
              else dispatch(posesAsked());
            }}
          />
        )}
      </View>
    </Card>
  );
}

/** In a group that is about a figure, while there is none. */
export const NoFigureYet = () => (
  <Words tone="soft" className="px-1">
    Nothing rides here yet. Put a figure somewhere under “Pose”.
  </Words>
);
