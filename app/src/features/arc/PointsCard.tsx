import { currentFrame } from '../../playback/playhead';
import { arcWords as words } from '../../words/arc';
import { mirrorAbout, rotationAbout, scalingAbout, type Transform, translation } from '@humble/core';
import Deselect from 'lucide-react-native/icons/circle-slash-2';
import Crosshair from 'lucide-react-native/icons/crosshair';
import FlipHorizontal from 'lucide-react-native/icons/square-centerline-dashed-horizontal';
import FlipVertical from 'lucide-react-native/icons/square-centerline-dashed-vertical';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';
import { useAppDispatch, useAppStore, useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { type About, transformCentreChosen, pointsSelected, toolChosen } from '../../store/editorSlice';
import { selectTransformCentre, middleOf, selectedPoints } from '../../store/selectors/selection';
import { ActionRow } from '../../ui/ActionRow';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField, NumberPair } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { KINDS } from './pointKinds';
import { useGestureBaseline } from '../../ui/useGestureBaseline';
import { selectActiveArc } from '../../store/selectors/active';
import { useThrottledArc, useThrottledMove, useThrottledEditor } from '../../store/throttled/hooks';

const MAX_COORDINATE = 1e6;

export function PointsCard() {
  const arc = useThrottledArc((active) => active);
  const editor = useThrottledEditor((now) => now);
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const transform = useTransform();
  const points = arc ? selectedPoints(arc, editor) : [];
  if (!arc || points.length < 2) return null;
  const mirror = (across: 'left-right' | 'up-down'): void => {
    const centre = selectTransformCentre(store.getState(), currentFrame());
    if (centre) transform(mirrorAbout(centre, across));
  };
  const isWhole = points.length === arc.points.length;
  const pointIds = points.map(({ id }) => id);
  const kinds = new Set(points.map(({ kind }) => kind));
  return (
    <Card
      title={isWhole ? words.theWholeArc : words.selectedPoints}
      aside={words.points(points.length)}
      isActive
    >
      <Placing />
      <Turning />
      <View className="my-2">
        <Segmented
          label={words.kindOfThesePoints}
          value={kinds.size === 1 ? points[0]!.kind : 'mixed'}
          options={KINDS}
          onChange={(kind) => {
            if (kind !== 'mixed') edit('setPointKind', { arcId: arc.id, pointIds, kind });
          }}
        />
      </View>
      <ActionRow
        actions={[
          { label: words.mirrorLeftAndRight, icon: FlipHorizontal, onPress: () => mirror('left-right') },
          { label: words.mirrorUpAndDown, icon: FlipVertical, onPress: () => mirror('up-down') },
          { label: words.deselect, icon: Deselect, onPress: () => dispatch(pointsSelected([])) },
          !isWhole && {
            label: words.deletePoints,
            icon: Trash,
            isRemoval: true,
            onPress: () => {
              if (edit('deletePoints', { arcId: arc.id, pointIds })) dispatch(pointsSelected([]));
            },
          },
        ]}
      />
    </Card>
  );
}

function useTransform(): (transform: Transform, undoGroup?: string) => void {
  const edit = useEdit();
  const store = useAppStore();
  return (transform, undoGroup) => {
    const state = store.getState();
    const arc = selectActiveArc(state);
    if (arc)
      edit(
        'transformPoints',
        { arcId: arc.id, pointIds: state.editor.selectedPointIds, transform },
        undoGroup,
      );
  };
}

function Placing() {
  const arc = useThrottledArc((active) => active);
  const editor = useThrottledEditor((now) => now);
  const store = useAppStore();
  const transform = useTransform();
  const points = arc ? selectedPoints(arc, editor) : [];
  const middle = middleOf(points);
  const size = {
    x: Math.max(...points.map(({ x }) => x)) - Math.min(...points.map(({ x }) => x)),
    y: Math.max(...points.map(({ y }) => y)) - Math.min(...points.map(({ y }) => y)),
  };
  const fromStart = useGestureBaseline({
    middle,
    size,
    about: selectTransformCentre(store.getState(), currentFrame()) ?? middle,
  });
  const move = (axis: 'x' | 'y', to: number, undoGroup?: string): void => {
    const { middle: from } = fromStart(undoGroup);
    transform(translation({ x: 0, y: 0, [axis]: to - from[axis] }), undoGroup);
  };
  const grow = (axis: 'x' | 'y', to: number, undoGroup?: string): void => {
    const { size: from, about } = fromStart(undoGroup);
    if (!(from[axis] > 0) || !(to > 0)) return;
    const factor = to / from[axis];
    transform(scalingAbout(about, axis === 'x' ? factor : 1, axis === 'y' ? factor : 1), undoGroup);
  };
  const { field: length } = useLengths();
  const coordinate = { min: -MAX_COORDINATE, max: MAX_COORDINATE };
  const extent = { min: 0.1, max: MAX_COORDINATE };
  return (
    <View>
      <NumberPair
        pair={[
          length({
            ...coordinate,
            label: words.middleAcross,
            value: middle.x,
            onChange: (to, g) => move('x', to, g),
          }),
          length({
            ...coordinate,
            label: words.middleDown,
            value: middle.y,
            onChange: (to, g) => move('y', to, g),
          }),
        ]}
      />
      <NumberPair
        pair={[
          length({
            ...extent,
            label: words.width,
            value: size.x,
            disabled: size.x === 0,
            onChange: (to, g) => grow('x', to, g),
          }),
          length({
            ...extent,
            label: words.height,
            value: size.y,
            disabled: size.y === 0,
            onChange: (to, g) => grow('y', to, g),
          }),
        ]}
      />
    </View>
  );
}

const ABOUT: readonly { readonly value: About; readonly label: string }[] = [
  { value: 'middle', label: words.itsCentre },
  { value: 'figure', label: words.thePivot },
  { value: 'chosen', label: words.aboutAPoint },
];

function Turning() {
  const about = useThrottledEditor((editor) => editor.about);
  const hasCentre = useThrottledEditor((editor) => editor.centre !== null);
  const isChoosing = useThrottledEditor((editor) => editor.tool === 'centre');
  const hasFigure = useThrottledMove() !== null;
  const selection = useThrottledEditor((editor) => editor.selectedPointIds);
  const [turned, setTurned] = useState({ deg: 0, selection });
  const deg = turned.selection === selection ? turned.deg : 0;
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const transform = useTransform();
  const fromStart = useGestureBaseline({
    deg,
    about: selectTransformCentre(store.getState(), currentFrame()),
  });
  const turn = (to: number, undoGroup?: string): void => {
    const start = fromStart(undoGroup);
    if (!start.about) return;
    transform(rotationAbout(start.about, to - start.deg), undoGroup);
    setTurned({ deg: to, selection });
  };
  const choose = (next: About): void => {
    dispatch(next === 'chosen' && !hasCentre ? toolChosen('centre') : transformCentreChosen(next));
  };
  return (
    <View>
      <NumberField
        label={words.turnBy}
        unit="°"
        value={deg}
        min={-3600}
        max={3600}
        decimals={1}
        onChange={turn}
      />
      <Words tone="soft" className="mb-1 mt-1">
        {words.transformCentre}
      </Words>
      <Segmented
        label={words.transformCentre}
        value={isChoosing ? 'chosen' : about}
        options={hasFigure ? ABOUT : ABOUT.filter(({ value }) => value !== 'figure')}
        onChange={choose}
      />
      {(about === 'chosen' || isChoosing) && (
        <View className="mt-2 flex-row">
          <Button
            label={isChoosing ? words.tapItInTheField : words.moveTheCentre}
            icon={Crosshair}
            pressed={isChoosing}
            onPress={() => dispatch(toolChosen(isChoosing ? 'shape' : 'centre'))}
          />
        </View>
      )}
    </View>
  );
}
