import { useLengths } from '../../../store/lengths';
import { timingWords as words } from '../../../words/timing';
import {
  type Arc,
  arcLength,
  evaluateMove,
  fractionOfPoint,
  type Mark,
  type Move,
  type Shot,
} from '@humble/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useAppStore, useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { Words } from '../../../ui/Words';
import { frameNumber } from '../../../store/frameNumbers';

interface TieProps {
  readonly move: Move;
  readonly mark: Mark;
  readonly arc: Arc;
}

function nearestPoint(arc: Arc, { fraction }: Mark): number {
  const away = arc.points.map(({ id }) => Math.abs(fractionOfPoint(arc, id, fraction) - fraction));
  return away.reduce((nearest, distance, i) => (distance < away[nearest]! ? i : nearest), 0);
}

/** The longer of the two steps that lead to a mark and away from it, field units. */
function stepAt(shot: Shot, move: Move, { frame }: Mark): number {
  const { arcDistance } = evaluateMove(shot, move);
  const step = (f: number): number => Math.abs((arcDistance[f] ?? NaN) - arcDistance[f - 1]!) || 0;
  return Math.max(step(frame), frame > 1 ? step(frame - 1) : 0);
}

interface FarTie {
  readonly index: number;
  /** How far away the point is along the arc, field units. */
  readonly away: number;
}

/** Ties a mark to a point of the arc: then it goes with the point. One that is far away is asked about first. */
export function TieField({ move, mark, arc }: TieProps) {
  const edit = useEdit();
  const store = useAppStore();
  const [far, setFar] = useState<FarTie | null>(null);
  const tied = arc.points.findIndex(({ id }) => id === mark.pointId);
  const tie = (index: number): void => {
    setFar(null);
    edit('tieMark', { moveId: move.id, markId: mark.id, pointId: arc.points[index]!.id });
  };
  const untie = (): void => {
    setFar(null);
    edit('tieMark', { moveId: move.id, markId: mark.id, pointId: null });
  };
  const ask = (index: number): void => {
    const { shot } = store.getState().shot.present;
    if (!shot) return;
    const fraction = fractionOfPoint(arc, arc.points[index]!.id, mark.fraction);
    const away = Math.abs(fraction - mark.fraction) * arcLength(arc);
    if (away > stepAt(shot, move, mark)) setFar({ index, away });
    else tie(index);
  };
  const question = far && (
    <Question far={far} mark={mark} onTie={() => tie(far.index)} onCancel={() => setFar(null)} />
  );
  if (tied < 0) {
    const nearest = nearestPoint(arc, mark);
    return (
      <View className="mt-2 gap-2">
        {question ?? (
          <View className="flex-row">
            <Button label={words.tieToPoint(nearest + 1)} onPress={() => ask(nearest)} />
          </View>
        )}
      </View>
    );
  }
  return (
    <View>
      <NumberField
        label={words.tiedToPoint}
        value={tied + 1}
        min={1}
        max={arc.points.length}
        onChange={(number) => ask(number - 1)}
      />
      {question ?? <Words tone="soft">{words.tieHelp}</Words>}
      <View className="mt-1 flex-row">
        <Button label={words.untie} onPress={untie} />
      </View>
    </View>
  );
}

interface QuestionProps {
  readonly far: FarTie;
  readonly mark: Mark;
  readonly onTie: () => void;
  readonly onCancel: () => void;
}

function Question({ far: { index, away }, mark, onTie, onCancel }: QuestionProps) {
  const lengths = useLengths();
  return (
    <View role="alert" className="gap-2">
      <Words>{words.tieFarAway(index + 1, lengths.text(away), frameNumber(mark.frame))}</Words>
      <View className="flex-row flex-wrap gap-2">
        <Button label={words.moveItThere} kind="brass" onPress={onTie} />
        <Button label={words.leaveItWhereItIs} onPress={onCancel} />
      </View>
    </View>
  );
}
