import { arcWords as words } from '../../words/arc';
import Check from 'lucide-react-native/icons/check';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import { Pressable, View } from 'react-native';
import { useAppDispatch } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { type SketchUse, toolChosen } from '../../store/editorSlice';
import { changeSketch, keepSketch, redoSketch } from '../../commands/sketch';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Slider } from '../../ui/Slider';
import { Words } from '../../ui/Words';
import { useThrottledSelector, useThrottledEditor, useThrottledShotValue } from '../../store/throttled/hooks';

/** The slider runs over this many powers of two, from the least deviation. */
const DOUBLINGS = 9;
/** The least deviation, as a share of the field's width. */
const MIN_SHARE = 1 / 8000;

const wordsFor = (use: SketchUse): string => {
  switch (use.kind) {
    case 'fresh':
      return words.aNewArc;
    case 'anew':
      return words.thisArcRedrawn;
    case 'on':
      return use.end === 'end' ? words.continuesFromTheEnd : words.strokeContinuesStart;
    case 'stretch':
      return words.replacesPartOfTheArc;
  }
};

export function SketchCard() {
  const sketch = useThrottledEditor((editor) => editor.sketch);
  const points = useThrottledSelector((state) => state.editor.sketch?.fitted?.length ?? null);
  const isFitting = useThrottledSelector((state) => state.editor.sketch?.isFitting ?? false);
  const least = useThrottledShotValue((shot) => shot.field.width * MIN_SHARE);
  const dispatch = useAppDispatch();
  const lengths = useLengths();
  if (!sketch) return <Waiting />;
  const isKept = sketch.undoGroup !== null;
  return (
    <Card
      title={words.yourStroke}
      isActive
      aside={points === null || isFitting ? words.working : words.points(points)}
    >
      {sketch.uses.length > 1 && (
        <View role="radiogroup" aria-label={words.whatTheStrokeBecomes} className="mb-2">
          {sketch.uses.map((use, i) => (
            <UseChoice
              key={i}
              use={use}
              isChosen={use === sketch.use}
              onChoose={() => dispatch(changeSketch({ use }))}
            />
          ))}
        </View>
      )}
      <Slider
        label={words.stayWithin}
        text={words.ofYourStroke(lengths.text(sketch.deviation))}
        value={Math.log2(sketch.deviation / least)}
        min={0}
        max={DOUBLINGS}
        onChange={(value) => dispatch(changeSketch({ deviation: least * 2 ** value }))}
      />
      <View className="mt-1 flex-row flex-wrap gap-2">
        <Button label={words.keepIt} icon={Check} kind="brass" onPress={() => void dispatch(keepSketch())} />
        <Button label={words.redraw} icon={PencilLine} onPress={() => dispatch(redoSketch())} />
        {!isKept && (
          <Button label={words.discard} kind="quiet" onPress={() => dispatch(toolChosen('shape'))} />
        )}
      </View>
    </Card>
  );
}

function Waiting() {
  const isAnew = useThrottledEditor((editor) => editor.strokeMeans === 'anew');
  const dispatch = useAppDispatch();
  return (
    <Card title={isAnew ? words.redrawTheArc : words.freehand} isActive>
      <Words tone="soft" className="mb-3">
        {isAnew ? words.theArcStaysAsItIs : words.beginAtAnEndOfThe}
      </Words>
      <View className="flex-row">
        <Button label={words.discard} onPress={() => dispatch(toolChosen('shape'))} />
      </View>
    </Card>
  );
}

interface UseChoiceProps {
  readonly use: SketchUse;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

function UseChoice({ use, isChosen, onChoose }: UseChoiceProps) {
  const label = wordsFor(use);
  return (
    <Pressable
      role="radio"
      aria-checked={isChosen}
      aria-label={label}
      onPress={onChoose}
      className="min-h-[44px] flex-row items-center gap-3"
    >
      <View
        className={`h-[18px] w-[18px] items-center justify-center rounded-full border-2 ${isChosen ? 'border-brass' : 'border-soft'}`}
      >
        {isChosen && <View className="h-[8px] w-[8px] rounded-full bg-brass" />}
      </View>
      <Words strong={isChosen}>{label}</Words>
    </Pressable>
  );
}
