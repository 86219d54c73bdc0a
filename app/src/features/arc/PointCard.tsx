import { arcWords as words } from '../../words/arc';
import { type ArcPoint, PLAIN, type PointKind, type Shaping } from '@humble/core';
import Deselect from 'lucide-react-native/icons/circle-slash-2';
import Flag from 'lucide-react-native/icons/flag';
import Trash from 'lucide-react-native/icons/trash';
import Unlink from 'lucide-react-native/icons/unlink';
import { View } from 'react-native';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { pointsSelected } from '../../store/editorSlice';
import { ActionRow } from '../../ui/ActionRow';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { PlaceFields } from '../../ui/PlaceFields';
import { Segmented } from '../../ui/Segmented';
import { KINDS } from './pointKinds';
import { useThrottledArc } from '../../store/throttled/hooks';

const usePoint = <Value,>(pick: (point: ArcPoint) => Value): Value | null =>
  useThrottledArc((arc, { selectedPointIds }) => {
    const point = arc.points.find(({ id }) => id === selectedPointIds[0]);
    return point ? pick(point) : null;
  });

interface PointProps {
  readonly arcId: string;
  readonly pointId: string;
}

export function PointCard() {
  const pointId = usePoint(({ id }) => id);
  const arcId = useThrottledArc((arc) => arc.id);
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
  const isFirst = useThrottledArc((arc) => arc.points[0]?.id === pointId) ?? true;
  const isLast = useThrottledArc((arc) => arc.points.length <= 2) ?? true;
  const dispatch = useAppDispatch();
  const edit = useEdit();
  if (arcId === null || pointId === null) return null;
  const remove = (): void => {
    if (edit('deletePoints', { arcId, pointIds: [pointId] })) dispatch(pointsSelected([]));
  };
  return (
    <Card title={words.selectedPoint} isActive>
      <Place arcId={arcId} pointId={pointId} />
      <Kind arcId={arcId} pointId={pointId} />
      <Rounding arcId={arcId} pointId={pointId} />
      <ActionRow
        actions={[
          isClosed &&
            !isFirst && {
              label: words.startHere,
              icon: Flag,
              onPress: () => edit('startArcAt', { arcId, pointId, move: 'in-place' }),
            },
          isClosed && {
            label: words.openHere,
            icon: Unlink,
            onPress: () => edit('openArc', { arcId, pointId }),
          },
          { label: words.deselect, icon: Deselect, onPress: () => dispatch(pointsSelected([])) },
          { label: words.deletePoint, icon: Trash, isRemoval: true, disabled: isLast, onPress: remove },
        ]}
      />
    </Card>
  );
}

function Place({ arcId, pointId }: PointProps) {
  const x = usePoint((point) => point.x) ?? 0;
  const y = usePoint((point) => point.y) ?? 0;
  const edit = useEdit();
  return (
    <PlaceFields
      length={useLengths().field}
      x={x}
      y={y}
      onChange={(to, undoGroup) => edit('movePoint', { arcId, pointId, to }, undoGroup)}
    />
  );
}

function Kind({ arcId, pointId }: PointProps) {
  const kind = usePoint((point) => point.kind) ?? 'smooth';
  const edit = useEdit();
  return (
    <View className="my-2">
      <Segmented
        label={words.kindOfPoint}
        value={kind as PointKind | 'mixed'}
        options={KINDS}
        onChange={(next) => {
          if (next !== 'mixed') edit('setPointKind', { arcId, pointIds: [pointId], kind: next });
        }}
      />
    </View>
  );
}

const SETTINGS: readonly { readonly key: keyof Shaping; readonly label: string }[] = [
  { key: 'tighten', label: words.tighten },
  { key: 'sharpen', label: words.sharpen },
  { key: 'lean', label: words.lean },
];

/** How the point rounds itself off by its neighbours. The first change takes its handles over. */
function Rounding({ arcId, pointId }: PointProps) {
  const shaping = usePoint((point) => point.shaping) ?? PLAIN;
  const edit = useEdit();
  return SETTINGS.map(({ key, label }) => (
    <NumberField
      key={key}
      label={label}
      value={shaping[key]}
      min={-1}
      max={1}
      step={0.1}
      decimals={2}
      onChange={(value, undoGroup) =>
        edit('shapePoints', { arcId, pointIds: [pointId], shaping: { ...shaping, [key]: value } }, undoGroup)
      }
    />
  ));
}
