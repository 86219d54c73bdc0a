import { arcLength } from '@humble/core';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import { useActiveArc, useAppDispatch, useEdit, useSession, useShot } from '../../state/hooks';
import { pointSelected, redrawingSet } from '../../state/sessionSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { NumberField } from '../../ui/NumberField';
import { Words } from '../../ui/Words';
import { middleOfLongest } from './middleOfLongest';

const FURTHEST = 1e6;

/** Shaping the arc: its points, by hand in the field and by number here. */
export function ArcPanel() {
  const shot = useShot();
  const arc = useActiveArc();
  const selectedPointId = useSession((session) => session.selectedPointId);
  const isRedrawing = useSession((session) => session.isRedrawing);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  if (!arc)
    return (
      <Card title="No arc yet">
        <Words tone="soft">
          Draw one in the field with a finger or the mouse. A figure sits on its start at once, and a move
          over all {String(shot.lengthFrames)} frames leaves and arrives slowly.
        </Words>
      </Card>
    );
  const selected = arc.points.find((point) => point.id === selectedPointId);
  const { unitsPerMm } = shot.field;
  const isMm = shot.sheet.units === 'mm' && unitsPerMm !== null;
  const length = arcLength(arc) / (isMm ? unitsPerMm : 1);
  const moveTo = (place: { x?: number; y?: number }, gesture?: string): void => {
    if (selected)
      edit(
        'movePoint',
        { arcId: arc.id, pointId: selected.id, to: { x: selected.x, y: selected.y, ...place } },
        gesture,
      );
  };
  return (
    <View className="gap-3">
      <Card title={arc.name} aside={`${fixed(length, 1)} ${isMm ? 'mm' : 'units'} long`}>
        <Words tone="soft" className="mb-3">
          {`${arc.points.length} points`}
        </Words>
        <View className="flex-row flex-wrap gap-2">
          <Button
            label="Add a point"
            icon={Plus}
            onPress={() => edit('insertPoint', { arcId: arc.id, ...middleOfLongest(arc) })}
          />
          <Button
            label={isRedrawing ? 'Keep the old arc' : 'Draw anew'}
            icon={PencilLine}
            pressed={isRedrawing}
            onPress={() => dispatch(redrawingSet(!isRedrawing))}
          />
        </View>
      </Card>
      {selected ? (
        <Card title="Selected point" aside={selected.kind === 'corner' ? 'corner' : 'smooth'}>
          <NumberField
            label="Across"
            unit="units"
            value={selected.x}
            min={-FURTHEST}
            max={FURTHEST}
            decimals={1}
            onChange={(x, gesture) => moveTo({ x }, gesture)}
          />
          <NumberField
            label="Down"
            unit="units"
            value={selected.y}
            min={-FURTHEST}
            max={FURTHEST}
            decimals={1}
            onChange={(y, gesture) => moveTo({ y }, gesture)}
          />
          <View className="mt-2 flex-row">
            <Button
              label="Delete this point"
              icon={Trash}
              kind="plum"
              disabled={arc.points.length <= 2}
              onPress={() => {
                if (edit('deletePoint', { arcId: arc.id, pointId: selected.id }))
                  dispatch(pointSelected(null));
              }}
            />
          </View>
        </Card>
      ) : (
        <Words tone="soft" className="px-1">
          Tap a point to see its handles and its place in numbers.
        </Words>
      )}
    </View>
  );
}
