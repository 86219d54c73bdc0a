import Check from 'lucide-react-native/icons/check';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import { Pressable, View } from 'react-native';
import {
  useAppDispatch,
  useThrottledSelector,
  useThrottledEditor,
  useThrottledShotValue,
} from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { type SketchUse, toolChosen } from '../../store/editorSlice';
import { sketchChanged, sketchKept, sketchRedone } from '../../commands/sketch';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Slider } from '../../ui/Slider';
import { Words } from '../../ui/Words';

/** The slider runs over this many powers of two, from the least deviation. */
const DOUBLINGS = 9;
/** The least deviation, as a share of the field's width. */
const LEAST_SHARE = 1 / 8000;

const wordsFor = (use: SketchUse): string => {
  switch (use.kind) {
    case 'fresh':
      return 'A new arc';
    case 'anew':
      return 'This arc, redrawn';
    case 'on':
      return use.end === 'end' ? 'Continues from the end' : 'Continues from the start';
    case 'stretch':
      return 'Replaces part of the arc';
  }
};

/** A stroke that can still be followed more or less closely, become something else, or be drawn again. */
export function SketchCard() {
  const sketch = useThrottledEditor((editor) => editor.sketch);
  const points = useThrottledSelector((state) => state.editor.sketch?.fitted?.length ?? null);
  const isFitting = useThrottledSelector((state) => state.editor.sketch?.isFitting ?? false);
  const least = useThrottledShotValue((shot) => shot.field.width * LEAST_SHARE);
  const dispatch = useAppDispatch();
  const lengths = useLengths();
  if (!sketch) return <Waiting />;
  const isKept = sketch.undoGroup !== null;
  return (
    <Card title="Your stroke" isActive aside={points === null || isFitting ? 'working…' : `${points} points`}>
      {sketch.uses.length > 1 && (
        <View role="radiogroup" aria-label="What the stroke becomes" className="mb-2">
          {sketch.uses.map((use, i) => (
            <UseChoice
              key={i}
              use={use}
              isChosen={use === sketch.use}
              onChoose={() => dispatch(sketchChanged({ use }))}
            />
          ))}
        </View>
      )}
      <Slider
        label="Stay within"
        text={`${lengths.text(sketch.deviation)} of your stroke`}
        value={Math.log2(sketch.deviation / least)}
        min={0}
        max={DOUBLINGS}
        onChange={(value) => dispatch(sketchChanged({ deviation: least * 2 ** value }))}
      />
      <View className="mt-1 flex-row flex-wrap gap-2">
        <Button label="Keep it" icon={Check} kind="brass" onPress={() => void dispatch(sketchKept())} />
        <Button label="Redraw" icon={PencilLine} onPress={() => dispatch(sketchRedone())} />
        {!isKept && <Button label="Discard" kind="quiet" onPress={() => dispatch(toolChosen('shape'))} />}
      </View>
    </Card>
  );
}

/** Before the stroke. */
function Waiting() {
  const isAnew = useThrottledEditor((editor) => editor.strokeMeans === 'anew');
  const dispatch = useAppDispatch();
  return (
    <Card title={isAnew ? 'Redraw the arc' : 'Freehand'} isActive>
      <Words tone="soft" className="mb-3">
        {isAnew
          ? 'The arc stays as it is until you keep the new stroke. Its timing stays in any case.'
          : 'Begin at an end of the arc to go on from it. Begin and end on the arc to replace what lies between.'}
      </Words>
      <View className="flex-row">
        <Button label="Discard" onPress={() => dispatch(toolChosen('shape'))} />
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
  const words = wordsFor(use);
  return (
    <Pressable
      role="radio"
      aria-checked={isChosen}
      aria-label={words}
      onPress={onChoose}
      className="min-h-[44px] flex-row items-center gap-3"
    >
      <View
        className={`h-[18px] w-[18px] items-center justify-center rounded-full border-2 ${isChosen ? 'border-brass' : 'border-soft'}`}
      >
        {isChosen && <View className="h-[8px] w-[8px] rounded-full bg-brass" />}
      </View>
      <Words strong={isChosen}>{words}</Words>
    </Pressable>
  );
}
