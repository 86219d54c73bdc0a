import {
  actedDeviation,
  FASTEST_RECORDING,
  gestureFrames,
  gestureOf,
  gestureSeconds,
  type Move,
  SLOWEST_RECORDING,
} from '@humble/core';
import FileInput from 'lucide-react-native/icons/file-input';
import Hand from 'lucide-react-native/icons/hand';
import UserPlus from 'lucide-react-native/icons/user-plus';
import Trash from 'lucide-react-native/icons/trash';
import { Pressable, View } from 'react-native';
import { actedAgain, actedChanged, actingAsked, thinningGivenUp, trackedBroughtIn } from '../../state/acting';
import { toolChosen } from '../../state/handSlice';
import { useActiveArc, useAppDispatch, useEdit, useHand, useSettings, useShot } from '../../state/hooks';
import { settingsChanged } from '../../state/settingsSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { pickFile } from '../../ui/files';
import { fixed } from '../../ui/numbers';
import { NumberField } from '../../ui/NumberField';
import { Slider } from '../../ui/Slider';
import { Toggle } from '../../ui/Toggle';
import { Figures, Words } from '../../ui/Words';

/** A figure is acted out by hand; the field waits for the pointer. */
export function ActCard({ move }: { readonly move: Move | null }) {
  const tool = useHand((hand) => hand.tool);
  return tool === 'act' ? <Waiting /> : <Asking move={move} />;
}

/** Before a gesture: how it is to be recorded. */
function Asking({ move }: { readonly move: Move | null }) {
  const dispatch = useAppDispatch();
  const isLocked = useActiveArc((arc) => arc.locked) ?? false;
  const bringIn = async (): Promise<void> => {
    const file = await pickFile('.csv,text/csv');
    if (file) await dispatch(trackedBroughtIn(file.text, file.name.slice(0, 60)));
  };
  return (
    <Card title="Act it out">
      <Words tone="soft" className="mb-3">
        Press in the field and move: the gesture gives the arc and its timing, pauses and all.
      </Words>
      <View className="flex-row flex-wrap gap-2">
        {move && (
          <Button
            label={move.acted ? 'Act it out again' : 'Act out this figure'}
            icon={Hand}
            disabled={isLocked}
            onPress={() => dispatch(actingAsked('this'))}
          />
        )}
        <Button
          label={move ? 'Act out a further one' : 'Act it out'}
          icon={move ? UserPlus : Hand}
          onPress={() => dispatch(actingAsked('further'))}
        />
        <Button label="From tracked positions" icon={FileInput} onPress={() => void bringIn()} />
      </View>
      <Words tone="soft" size="tiny" className="mt-2">
        Tracked positions are a CSV file with the columns frame or seconds, x and y, in field units.
      </Words>
    </Card>
  );
}

/** The field waits. */
function Waiting() {
  const dispatch = useAppDispatch();
  const { recordingSpeed, countsIn, playsMeanwhile } = useSettings();
  const actsFor = useHand((hand) => hand.actsFor);
  return (
    <Card title="Act it out" isActive>
      <Words tone="soft">
        {actsFor === 'this'
          ? 'Press in the field, move, and lift. This figure gets the arc and the timing of your hand.'
          : 'Press in the field, move, and lift. A further figure gets the arc and the timing of your hand.'}
      </Words>
      <NumberField
        label="Recording speed"
        unit="%"
        value={Math.round(recordingSpeed * 100)}
        min={SLOWEST_RECORDING * 100}
        max={FASTEST_RECORDING * 100}
        step={5}
        onChange={(percent) => dispatch(settingsChanged({ recordingSpeed: percent / 100 }))}
      />
      <Toggle
        label="Count me in"
        value={countsIn}
        onChange={(value) => dispatch(settingsChanged({ countsIn: value }))}
      />
      <Toggle
        label="Play the shot meanwhile"
        value={playsMeanwhile}
        onChange={(value) => dispatch(settingsChanged({ playsMeanwhile: value }))}
      />
      <View className="mt-1 flex-row">
        <Button label="Give up" kind="quiet" onPress={() => dispatch(toolChosen('shape'))} />
      </View>
    </Card>
  );
}

/** The slider runs over this many powers of two, from the least deviation. */
const DOUBLINGS = 9;
/** The least deviation, as a share of the field's height. */
const LEAST_SHARE = 1 / 2000;

/** What an acted move was made from, and how closely it follows that. */
export function ThinningCard({ move }: { readonly move: Move }) {
  const shot = useShot();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { showsGesture } = useSettings();
  // What is wished for is shown at once; what comes of it when it is done.
  const wished = useHand((hand) => hand.thinning?.allowedDeviation ?? null);
  const gesture = gestureOf(shot, move);
  const { acted } = move;
  if (!acted || !gesture) return null;
  const arc = shot.arcs.find(({ id }) => id === move.arcId);
  const deviation = actedDeviation(shot, move);
  const least = shot.field.height * LEAST_SHARE;
  const allowed = wished ?? acted.allowedDeviation;
  const last = move.marks[move.marks.length - 1]!.frame;
  const whole = shot.lengthFrames - move.marks[0]!.frame;
  return (
    <Card title="The gesture" aside={`${fixed(gestureSeconds(gesture), 2)} s`}>
      <Gestures move={move} />
      <Slider
        label="May be off the hand by"
        text={`${fixed(allowed, 1)} units`}
        value={Math.log2(allowed / least)}
        min={0}
        max={DOUBLINGS}
        onChange={(value, step) =>
          void dispatch(actedChanged(move, { allowedDeviation: least * 2 ** value }, step))
        }
      />
      <Words tone="soft" role="status" testID="thinned-to">
        <Figures strong>{String(arc?.points.length ?? 0)}</Figures> points,{' '}
        <Figures strong>{String(move.marks.length)}</Figures> marks. At most{' '}
        <Figures strong>{fixed(deviation?.largest ?? 0, 1)}</Figures>
        {` units off, on frame ${deviation?.frame ?? 1}.`}
      </Words>
      <Progress />
      <Toggle
        label="Show the way of the hand"
        value={showsGesture}
        onChange={(value) => dispatch(settingsChanged({ showsGesture: value }))}
      />
      <View className="flex-row flex-wrap gap-2">
        {last < shot.lengthFrames && (
          <Button label="End the shot with it" onPress={() => edit('fitLengthTo', { moveId: move.id })} />
        )}
        {last !== shot.lengthFrames && whole > 1 && (
          <Button
            label="Fit it to the shot"
            onPress={() => void dispatch(actedChanged(move, { frames: whole }))}
          />
        )}
        {acted.frames !== null && (
          <Button
            label={`As long as it took: ${gestureFrames(gesture, shot.rate)} intervals`}
            onPress={() => void dispatch(actedChanged(move, { frames: null }))}
          />
        )}
        <Button
          label="Use it for a further figure"
          icon={UserPlus}
          onPress={() => void dispatch(actedAgain(move))}
        />
        <Button
          label="Delete the gesture"
          icon={Trash}
          kind="plum"
          onPress={() => edit('deleteGesture', { gestureId: gesture.id })}
        />
      </View>
    </Card>
  );
}

/** All gestures that the shot keeps, to choose from. */
function Gestures({ move }: { readonly move: Move }) {
  const { gestures } = useShot();
  const dispatch = useAppDispatch();
  if (gestures.length < 2) return null;
  return (
    <View role="radiogroup" aria-label="Gestures" className="mb-2 flex-row flex-wrap gap-2">
      {gestures.map((gesture) => {
        const isChosen = gesture.id === move.acted?.gestureId;
        return (
          <Pressable
            key={gesture.id}
            role="radio"
            aria-checked={isChosen}
            aria-label={gesture.name}
            onPress={() => void dispatch(actedChanged(move, { gestureId: gesture.id }))}
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

/** How far the thinning is; it can be given up. */
function Progress() {
  const share = useHand((hand) => hand.thinning?.share ?? null);
  const dispatch = useAppDispatch();
  if (share === null) return null;
  return (
    <View
      role="progressbar"
      aria-label="Thinning"
      aria-valuenow={Math.round(share * 100)}
      className="mt-2 flex-row items-center justify-between"
    >
      <Words tone="soft">{`Thinning: ${Math.round(share * 100)} %`}</Words>
      <Button label="Stop" kind="quiet" onPress={() => dispatch(thinningGivenUp())} />
    </View>
  );
}
