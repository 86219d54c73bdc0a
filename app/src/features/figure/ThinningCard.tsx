import { figureWords as words } from '../../words/figure';
import { MAX_MARKS, type Move } from '@humble/core';
import { actedDeviation, gestureFrames, gestureOf, gestureSeconds } from '@humble/core/views';
import Trash from 'lucide-react-native/icons/trash';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { Pressable, View } from 'react-native';
import { actAgain, changeActing } from '../../commands/acting';
import { useAppDispatch, useEdit, useSettings } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { settingsChanged } from '../../store/settingsSlice';
import { ActionRow } from '../../ui/ActionRow';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { NumberField } from '../../ui/NumberField';
import { Slider } from '../../ui/Slider';
import { Toggle } from '../../ui/Toggle';
import { NumericText, Words } from '../../ui/Words';
import { ThinningProgress } from './ThinningProgress';
import { useThrottledEditor, useThrottledShot } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

/** The slider runs over this many powers of two, from the least deviation. */
const DOUBLINGS = 9;
/** The least deviation, as a share of the field's height. */
const MIN_SHARE = 1 / 2000;

export function ThinningCard({ move }: { readonly move: Move }) {
  const shot = useThrottledShot();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { showsGesture } = useSettings();
  const lengths = useLengths();
  // What is wished for is shown at once; what comes of it when it is done.
  const wish = useThrottledEditor((editor) => editor.thinning?.wish ?? null);
  const gesture = gestureOf(shot, move);
  const { acted } = move;
  if (!acted || !gesture) return null;
  const arc = shot.arcs.find(({ id }) => id === move.arcId);
  const deviation = actedDeviation(shot, move);
  const least = shot.field.height * MIN_SHARE;
  const allowed = wish && 'allowedDeviation' in wish ? wish.allowedDeviation : acted.allowedDeviation;
  const marks = wish && 'mostMarks' in wish ? wish.mostMarks : move.marks.length;
  const last = move.marks[move.marks.length - 1]!.frame;
  const whole = shot.lengthFrames - move.marks[0]!.frame;
  return (
    <Card title={words.theGesture} aside={`${fixed(gestureSeconds(gesture), 2)} s`}>
      <Gestures move={move} />
      <Slider
        label={words.stayWithin}
        text={words.ofYourHand(lengths.text(allowed))}
        value={Math.log2(allowed / least)}
        min={0}
        max={DOUBLINGS}
        onChange={(value, step) =>
          void dispatch(changeActing(move, { wish: { allowedDeviation: least * 2 ** value } }, step))
        }
      />
      <NumberField
        label={words.mostMarks}
        value={marks}
        min={2}
        max={MAX_MARKS}
        onChange={(mostMarks, step) => void dispatch(changeActing(move, { wish: { mostMarks } }, step))}
      />
      <Words tone="soft" role="status" testID="thinned-to">
        <NumericText strong>{String(arc?.points.length ?? 0)}</NumericText> {words.points}{' '}
        <NumericText strong>{String(move.marks.length)}</NumericText> {words.marksAtMost}{' '}
        <NumericText strong>{lengths.text(deviation?.largest ?? 0)}</NumericText>
        {words.offOnFrame(frameNumber(deviation?.frame ?? 1))}
      </Words>
      <ThinningProgress />
      <Toggle
        label={words.showGesture}
        value={showsGesture}
        onChange={(value) => dispatch(settingsChanged({ showsGesture: value }))}
      />
      <View className="flex-row flex-wrap gap-2">
        {last < shot.lengthFrames && (
          <Button label={words.endShotWithMove} onPress={() => edit('fitLengthTo', { moveId: move.id })} />
        )}
        {last !== shot.lengthFrames && whole > 1 && (
          <Button
            label={words.fitTheMoveToTheShot}
            onPress={() => void dispatch(changeActing(move, { frames: whole }))}
          />
        )}
        {acted.frames !== null && (
          <Button
            label={words.gestureLength(gestureFrames(gesture, shot.rate))}
            onPress={() => void dispatch(changeActing(move, { frames: null }))}
          />
        )}
      </View>
      <ActionRow
        actions={[
          {
            label: words.useForAnotherFigure,
            icon: UserPlus,
            onPress: () => void dispatch(actAgain(move)),
          },
          {
            label: words.deleteGesture,
            icon: Trash,
            isRemoval: true,
            onPress: () => edit('deleteGesture', { gestureId: gesture.id }),
          },
        ]}
      />
    </Card>
  );
}

function Gestures({ move }: { readonly move: Move }) {
  const { gestures } = useThrottledShot();
  const dispatch = useAppDispatch();
  if (gestures.length < 2) return null;
  return (
    <View role="radiogroup" aria-label={words.gestures} className="mb-2 flex-row flex-wrap gap-2">
      {gestures.map((gesture) => {
        const isChosen = gesture.id === move.acted?.gestureId;
        return (
          <Pressable
            key={gesture.id}
            role="radio"
            aria-checked={isChosen}
            aria-label={gesture.name}
            onPress={() => void dispatch(changeActing(move, { gestureId: gesture.id }))}
            className={`min-h-[44px] justify-center rounded-large border px-3 ${isChosen ? 'border-brass bg-brasswash' : 'border-line bg-ground'}`}
          >
            <Words strong={isChosen}>{gesture.name}</Words>
            <Words tone="soft" size="tiny">{`${fixed(gestureSeconds(gesture), 2)} s`}</Words>
          </Pressable>
        );
      })}
    </View>
  );
}
