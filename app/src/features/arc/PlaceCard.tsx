import { arcWords as words } from '../../words/arc';
import { type Arc, arcLength, pointAtDistance, type ArcSide } from '@humble/core';
import Plus from 'lucide-react-native/icons/plus';
import Scissors from 'lucide-react-native/icons/scissors';
import Slash from 'lucide-react-native/icons/slash';
import { useState } from 'react';
import { View } from 'react-native';
import { useAppDispatch, useAppStore, useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { arcLocationSelected, pointsSelected } from '../../store/editorSlice';
import { chosenDistance } from '../../store/selectors/selection';
import { ActionRow } from '../../ui/ActionRow';
import { Card } from '../../ui/Card';
import { NumberField, NumberPair } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { useGestureBaseline } from '../../ui/useGestureBaseline';
import { selectActiveArc } from '../../store/selectors/active';
import { useThrottledArc, useThrottledEditor } from '../../store/throttled/hooks';

function middleOfSegment(arc: Arc, segment: number, from: number, to: number): number {
  const middle = pointAtDistance(arc, (from + to) / 2);
  return middle.segment === segment ? middle.t : 0.5;
}

export function PlaceCard() {
  const arc = useThrottledArc((active) => active);
  const editor = useThrottledEditor((now) => now);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { field: length } = useLengths();
  const s = arc && chosenDistance(arc, editor);
  if (!arc || s === null || !editor.arcLocation) return null;
  const { segment, t } = editor.arcLocation;
  const insert = (at: number): void => {
    const done = edit('insertPoint', { arcId: arc.id, segment, t: at });
    if (done) dispatch(pointsSelected(done.made().points));
  };
  const goToDistance = (distance: number): void => {
    const location = pointAtDistance(arc, distance);
    dispatch(arcLocationSelected({ segment: location.segment, t: location.t }));
  };
  const ends = (): readonly [number, number] => [
    chosenDistance(arc, { ...editor, arcLocation: { segment, t: 0 } })!,
    chosenDistance(arc, { ...editor, arcLocation: { segment, t: 1 } })!,
  ];
  return (
    <Card title={words.thisSpotOnTheArc} isActive>
      <NumberField
        {...length({
          label: words.fromTheStart,
          value: s,
          min: 0,
          max: arcLength(arc),
          onChange: goToDistance,
        })}
      />
      <ActionRow
        actions={[
          { label: words.pointHere, icon: Plus, onPress: () => insert(t) },
          {
            label: words.pointInTheMiddle,
            icon: Plus,
            onPress: () => insert(middleOfSegment(arc, segment, ...ends())),
          },
          {
            label: words.straighten,
            icon: Slash,
            onPress: () => edit('straightenSegment', { arcId: arc.id, segment }),
          },
          !arc.closed && {
            label: words.cutHere,
            icon: Scissors,
            onPress: () => edit('cutArc', { arcId: arc.id, s }),
          },
        ]}
      />
      {!arc.closed && <RestOfArc />}
    </Card>
  );
}

const RESTS = [
  { value: 'from-here', label: words.fromHereOn },
  { value: 'up-to-here', label: words.upToHere },
] as const;

function RestOfArc() {
  const arcId = useThrottledArc((arc) => arc.id);
  const [rest, setRest] = useState<ArcSide>('from-here');
  const [done, setDone] = useState({ deg: 0, x: 0, y: 0 });
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { field: length } = useLengths();
  const s = useThrottledArc((arc, editor) => chosenDistance(arc, editor));
  const fromStart = useGestureBaseline({ done, s: s ?? 0 });
  if (s === null || arcId === null) return null;
  const stayAt = (here: number): void => {
    const arc = selectActiveArc(store.getState());
    if (!arc) return;
    const { segment, t } = pointAtDistance(arc, here);
    dispatch(arcLocationSelected({ segment, t }));
  };
  const turn = (deg: number, undoGroup?: string): void => {
    const start = fromStart(undoGroup);
    if (!edit('turnRest', { arcId, s: start.s, rest, deg: deg - start.done.deg }, undoGroup)) return;
    setDone({ ...done, deg });
    stayAt(start.s);
  };
  const shift = (axis: 'x' | 'y', to: number, undoGroup?: string): void => {
    const start = fromStart(undoGroup);
    const by = { x: 0, y: 0, [axis]: to - start.done[axis] };
    if (!edit('shiftRest', { arcId, s: start.s, rest, by }, undoGroup)) return;
    setDone({ ...done, [axis]: to });
    stayAt(rest === 'up-to-here' ? start.s + Math.hypot(by.x, by.y) : start.s);
  };
  const range = { min: -1e6, max: 1e6 };
  return (
    <View className="mt-3">
      <Segmented label={words.whichPart} value={rest} options={RESTS} onChange={setRest} />
      <NumberField
        label={words.turnBy}
        unit="°"
        value={done.deg}
        min={-3600}
        max={3600}
        decimals={1}
        onChange={turn}
      />
      <NumberPair
        pair={[
          length({
            ...range,
            label: words.shiftAcross,
            value: done.x,
            onChange: (to, g) => shift('x', to, g),
          }),
          length({ ...range, label: words.shiftDown, value: done.y, onChange: (to, g) => shift('y', to, g) }),
        ]}
      />
      <Words tone="soft">{words.turnRestHelp}</Words>
    </View>
  );
}
