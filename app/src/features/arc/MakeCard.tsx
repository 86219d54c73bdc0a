import FileInput from 'lucide-react-native/icons/file-input';
import Hand from 'lucide-react-native/icons/hand';
import PersonStanding from 'lucide-react-native/icons/person-standing';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Shapes from 'lucide-react-native/icons/shapes';
import Waypoints from 'lucide-react-native/icons/waypoints';
import { useState } from 'react';
import { View } from 'react-native';
import { useThrottledArc, useAppDispatch, useThrottledShotValue } from '../../store/hooks';
import { strokeAsked, toolChosen } from '../../store/editorSlice';
import { actingAsked } from '../../commands/acting';
import { posesAsked } from '../../commands/posing';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { Words } from '../../ui/Words';

const ReadyShapesDialog = lazyWithRetry(() =>
  import('./ReadyShapesDialog').then((part) => part.ReadyShapesDialog),
);
const BringInDialog = lazyWithRetry(() => import('./BringInDialog').then((part) => part.BringInDialog));

/** All the ways to a further arc. */
export function MakeCard() {
  const hasArc = useThrottledArc(() => true) ?? false;
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const dispatch = useAppDispatch();
  const [dialog, setDialog] = useState<'shapes' | 'file' | null>(null);
  const close = (): void => setDialog(null);
  return (
    <Card title={hasArc ? 'Another arc' : 'No arc yet'}>
      <Words tone="soft" className="mb-3">
        {hasArc
          ? 'A stroke can be an arc of its own, go on from an end, or replace a stretch.'
          : `Draw in the field, or start another way. A figure appears at the start, with a move over all ${lengthFrames} frames that eases out and in.`}
      </Words>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Freehand" icon={PencilLine} onPress={() => dispatch(strokeAsked(null))} />
        <Button label="Point by point" icon={Waypoints} onPress={() => dispatch(toolChosen('points'))} />
        <Button label="Shapes" icon={Shapes} onPress={() => setDialog('shapes')} />
        <Button label="Pose it" icon={PersonStanding} onPress={() => dispatch(posesAsked())} />
        <Button label="Act it out" icon={Hand} onPress={() => dispatch(actingAsked('further'))} />
        <Button label="Import SVG" icon={FileInput} onPress={() => setDialog('file')} />
      </View>
      {dialog === 'shapes' && <ReadyShapesDialog onClose={close} />}
      {dialog === 'file' && <BringInDialog onClose={close} />}
    </Card>
  );
}
