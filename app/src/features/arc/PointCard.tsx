import { type ArcPoint, PLAIN, type PointKind, type Shaping } from '@humble/core';
import Trash from 'lucide-react-native/icons/trash';
import Unlink from 'lucide-react-native/icons/unlink';
import { View } from 'react-native';
import { useActiveArc, useAppDispatch, useEdit, useHand } from '../../state/hooks';
import { pointsSelected } from '../../state/handSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { KINDS } from './pointKinds';
import { useCalm } from './useCalm';

const FURTHEST = 1e6;

/** One point: its place in numbers, what kind it is, and how it rounds itself off. */
export function PointCard() {
  const id = useHand(({ selectedPointIds }) => selectedPointIds[0]);
  const arc = useActiveArc((active) => active);
  // While it is dragged the numbers follow a few times a second; the field comes first.
  const point = useCalm(arc?.points.find((candidate) => candidate.id === id) ?? null);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  if (!arc || !point || point.id !== id) return null;
  const arcId = arc.id;
  const moveTo = (place: { x?: number; y?: number }, gesture?: string): void => {
    edit('movePoint', { arcId, pointId: id, to: { x: point.x, y: point.y, ...place } }, gesture);
  };
  const remove = (): void => {
    if (edit('deletePoints', { arcId, pointIds: [id] })) dispatch(pointsSelected([]));
  };
  const range = { unit: 'units', min: -FURTHEST, max: FURTHEST, decimals: 1 };
  return (
    <Card title="Selected point" isActive>
      <NumberField
        label="Across"
        value={point.x}
        onChange={(x, gesture) => moveTo({ x }, gesture)}
        {...range}
      />
      <NumberField
        label="Down"
        value={point.y}
        onChange={(y, gesture) => moveTo({ y }, gesture)}
        {...range}
      />
      <View className="my-2">
        <Segmented
          label="Kind of point"
          value={point.kind as PointKind | 'mixed'}
          options={KINDS}
          onChange={(kind) => {
            if (kind !== 'mixed') edit('setPointKind', { arcId, pointIds: [id], kind });
          }}
        />
      </View>
      <Rounding arcId={arcId} point={point} />
      <View className="mt-2 flex-row flex-wrap gap-2">
        {arc.closed && (
          <Button label="Open here" icon={Unlink} onPress={() => edit('openArc', { arcId, pointId: id })} />
        )}
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

const SETTINGS: readonly { readonly key: keyof Shaping; readonly label: string }[] = [
  { key: 'tighten', label: 'Tighten' },
  { key: 'sharpen', label: 'Sharpen' },
  { key: 'lean', label: 'Lean' },
];

/** How the point rounds itself off by its neighbours. The first change takes its handles over. */
function Rounding({ arcId, point }: { readonly arcId: string; readonly point: ArcPoint }) {
  const edit = useEdit();
  const shaping = point.shaping ?? PLAIN;
  return SETTINGS.map(({ key, label }) => (
    <NumberField
      key={key}
      label={label}
      value={shaping[key]}
      min={-1}
      max={1}
      step={0.1}
      decimals={2}
      onChange={(value, gesture) =>
        edit('shapePoints', { arcId, pointIds: [point.id], shaping: { ...shaping, [key]: value } }, gesture)
      }
    />
  ));
}
