import { arcWords as words } from '../../words/arc';
import FileInput from 'lucide-react-native/icons/file-input';
import Hand from 'lucide-react-native/icons/hand';
import PersonStanding from 'lucide-react-native/icons/person-standing';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Shapes from 'lucide-react-native/icons/shapes';
import Weight from 'lucide-react-native/icons/weight';
import Waypoints from 'lucide-react-native/icons/waypoints';
import { type ComponentType, useState } from 'react';
import { useAppDispatch } from '../../store/hooks';
import { strokeAsked, toolChosen } from '../../store/editorSlice';
import { askToAct } from '../../commands/acting';
import { askForPoses } from '../../commands/posing';
import { ActionRow } from '../../ui/ActionRow';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { Words } from '../../ui/Words';
import { PlacingCard } from './PlacingCard';
import { SketchCard } from './SketchCard';
import { useThrottledArc, useThrottledEditor, useThrottledShotValue } from '../../store/throttled/hooks';

const ReadyShapesDialog = lazyWithRetry(() =>
  import('./ReadyShapesDialog').then((part) => part.ReadyShapesDialog),
);
const BringInDialog = lazyWithRetry(() => import('./BringInDialog').then((part) => part.BringInDialog));

interface DrawGroupProps {
  readonly PhysicalDialog: ComponentType<{ readonly onClose: () => void }>;
}

/** @param PhysicalDialog makes a move by weight; it belongs to another feature */
export function DrawGroup({ PhysicalDialog }: DrawGroupProps) {
  const tool = useThrottledEditor((editor) => editor.tool);
  const hasSketch = useThrottledEditor((editor) => editor.sketch !== null);
  if (tool === 'points') return <PlacingCard />;
  return (
    <>
      {(tool === 'stroke' || hasSketch) && <SketchCard />}
      {tool !== 'stroke' && <MakeCard PhysicalDialog={PhysicalDialog} />}
    </>
  );
}

function MakeCard({ PhysicalDialog }: DrawGroupProps) {
  const hasArc = useThrottledArc(() => true) ?? false;
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const dispatch = useAppDispatch();
  const [dialog, setDialog] = useState<'shapes' | 'physical' | 'file' | null>(null);
  const close = (): void => setDialog(null);
  return (
    <Card title={hasArc ? words.anotherArc : words.noArcYet}>
      <Words tone="soft" className="mb-3">
        {hasArc ? words.aStrokeCanBeAnArc : words.drawHelp(lengthFrames)}
      </Words>
      <Button
        label={words.freehand}
        icon={PencilLine}
        kind="brass"
        onPress={() => dispatch(strokeAsked(null))}
        className="mb-1"
      />
      <ActionRow
        actions={[
          { label: words.pointByPoint, icon: Waypoints, onPress: () => dispatch(toolChosen('points')) },
          { label: words.shapes, icon: Shapes, onPress: () => setDialog('shapes') },
          { label: words.byWeight, icon: Weight, onPress: () => setDialog('physical') },
          { label: words.poseIt, icon: PersonStanding, onPress: () => dispatch(askForPoses()) },
          { label: words.actItOut, icon: Hand, onPress: () => dispatch(askToAct('further')) },
          { label: words.importSVG, icon: FileInput, onPress: () => setDialog('file') },
        ]}
      />
      {dialog === 'shapes' && <ReadyShapesDialog onClose={close} />}
      {dialog === 'physical' && <PhysicalDialog onClose={close} />}
      {dialog === 'file' && <BringInDialog onClose={close} />}
    </Card>
  );
}
