import { arcLength, nextPointId } from '@humble/core';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import {
  activeArcOf,
  useActiveArc,
  useAppDispatch,
  useAppStore,
  useEdit,
  useSession,
  useShotValue,
} from '../../state/hooks';
import { pointSelected, redrawingSet } from '../../state/sessionSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { NumberField } from '../../ui/NumberField';
import { Figures, Words } from '../../ui/Words';
import { middleOfLongest } from './middleOfLongest';

const FURTHEST = 1e6;

/** Shaping the arc: its points, by hand in the field and by number here. */
export function ArcPanel() {
  const hasArc = useShotValue((shot) => activeArcOf(shot) !== null);
  const isPointSelected =
    useActiveArc((arc, session) => arc.points.some(({ id }) => id === session.selectedPointId)) ?? false;
  if (!hasArc) return <NoArc />;
  return (
    <View className="gap-3">
      <ArcCard />
      {isPointSelected ? (
        <PointCard />
      ) : (
        <Words tone="soft" className="px-1">
          Tap a point to see its handles and its place in numbers.
        </Words>
      )}
    </View>
  );
}

function NoArc() {
  const lengthFrames = useShotValue((shot) => shot.lengthFrames);
  return (
    <Card title="No arc yet">
      <Words tone="soft">
        Draw one in the field with a finger or the mouse. A figure sits on its start at once, and a move over
        all {String(lengthFrames)} frames leaves and arrives slowly.
      </Words>
    </Card>
  );
}

/** Renders for its name and the number of points only; the length follows a drag by itself. */
function ArcCard() {
  const name = useActiveArc((arc) => arc.name);
  const points = useActiveArc((arc) => arc.points.length);
  const isRedrawing = useSession((session) => session.isRedrawing);
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const addPoint = (): void => {
    const arc = activeArcOf(store.getState().shot.present.shot);
    if (arc && edit('insertPoint', { arcId: arc.id, ...middleOfLongest(arc) }))
      dispatch(pointSelected(nextPointId(arc)));
  };
  return (
    <Card title={name ?? ''} aside={<ArcLength />}>
      <Words tone="soft" className="mb-3">
        {`${points} points`}
      </Words>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Add a point" icon={Plus} onPress={addPoint} />
        <Button
          label={isRedrawing ? 'Keep the old arc' : 'Draw anew'}
          icon={PencilLine}
          pressed={isRedrawing}
          onPress={() => dispatch(redrawingSet(!isRedrawing))}
        />
      </View>
    </Card>
  );
}

function ArcLength() {
  const text = useShotValue((shot) => {
    const arc = activeArcOf(shot);
    const { unitsPerMm } = shot.field;
    const isMm = shot.sheet.units === 'mm' && unitsPerMm !== null;
    const length = arc ? arcLength(arc) / (isMm ? unitsPerMm : 1) : 0;
    return `${fixed(length, 1)} ${isMm ? 'mm' : 'units'} long`;
  });
  return <Figures tone="soft">{text}</Figures>;
}

function PointCard() {
  const arc = useActiveArc((active) => active);
  const selectedPointId = useSession((session) => session.selectedPointId);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const selected = arc?.points.find((point) => point.id === selectedPointId);
  if (!arc || !selected) return null;
  const moveTo = (place: { x?: number; y?: number }, gesture?: string): void => {
    edit(
      'movePoint',
      { arcId: arc.id, pointId: selected.id, to: { x: selected.x, y: selected.y, ...place } },
      gesture,
    );
  };
  const remove = (): void => {
    if (edit('deletePoint', { arcId: arc.id, pointId: selected.id })) dispatch(pointSelected(null));
  };
  const range = { unit: 'units', min: -FURTHEST, max: FURTHEST, decimals: 1 };
  return (
    <Card title="Selected point" aside={selected.kind}>
      <NumberField
        label="Across"
        value={selected.x}
        onChange={(x, gesture) => moveTo({ x }, gesture)}
        {...range}
      />
      <NumberField
        label="Down"
        value={selected.y}
        onChange={(y, gesture) => moveTo({ y }, gesture)}
        {...range}
      />
      <View className="mt-2 flex-row">
        <Button
          label="Delete this point"
          icon={Trash}
          kind="plum"
          disabled={arc.points.length <= 2}
          onPress={remove}
        />
      </View>
    </Card>
  );
}
