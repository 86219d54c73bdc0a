import { type Arc, fractionOfPoint, type Mark, type Move } from '@humble/core';
import { View } from 'react-native';
import { useEdit } from '../../state/hooks';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Words } from '../../ui/Words';

interface TieProps {
  readonly move: Move;
  readonly mark: Mark;
  readonly arc: Arc;
}

/** The point that lies nearest to a mark along the arc. */
function nearestPoint(arc: Arc, { fraction }: Mark): number {
  const away = arc.points.map(({ id }) => Math.abs(fractionOfPoint(arc, id, fraction) - fraction));
  return away.indexOf(Math.min(...away));
}

/** Ties a mark to a point of the arc: then it goes with the point. */
export function TieField({ move, mark, arc }: TieProps) {
  const edit = useEdit();
  const tied = arc.points.findIndex(({ id }) => id === mark.pointId);
  const tie = (index: number | null): void => {
    const pointId = index === null ? null : arc.points[index]!.id;
    edit('tieMark', { moveId: move.id, markId: mark.id, pointId });
  };
  if (tied < 0) {
    const nearest = nearestPoint(arc, mark);
    return (
      <View className="mt-2 flex-row">
        <Button label={`Tie to point ${nearest + 1}`} onPress={() => tie(nearest)} />
      </View>
    );
  }
  return (
    <View>
      <NumberField
        label="Tied to point"
        value={tied + 1}
        min={1}
        max={arc.points.length}
        onChange={(number) => tie(number - 1)}
      />
      <Words tone="soft">It stays with that point when the arc changes.</Words>
      <View className="mt-1 flex-row">
        <Button label="Untie" onPress={() => tie(null)} />
      </View>
    </View>
  );
}
