import { selectEdits } from '../../../store/selectors/selection';
import { memo } from 'react';
import { G } from 'react-native-svg';
import { FigureKnobOverlay } from './FigureKnob';
import { Stroke } from './Stroke';
import { SketchPreview } from './SketchPreview';
import { PlacedPoints } from './PlacedPoints';
import { SelectedPlace } from './SelectedPlace';
import { type GripsOf, SelectionFrame } from './SelectionFrame';
import { Centre } from './Centre';
import { RulerLine } from './RulerLine';
import { SnapGuides } from './SnapGuides';
import { useThrottledSelector } from '../../../store/throttled/hooks';

export const EditOverlay = memo(function EditOverlay({ grips }: { readonly grips: GripsOf }) {
  const isShapingArcs = useThrottledSelector(selectEdits) === 'arcs';
  if (!isShapingArcs)
    return (
      <>
        <FigureKnobOverlay />
        <Stroke />
      </>
    );
  return (
    <G>
      <SketchPreview />
      <PlacedPoints />
      <SelectedPlace />
      <SelectionFrame grips={grips} />
      <RulerLine />
      <Centre />
      <SnapGuides />
      <Stroke />
    </G>
  );
});
