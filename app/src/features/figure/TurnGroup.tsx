import { figureWords as words } from '../../words/figure';
import { TRACKS } from '@humble/core';
import RotateCcw from 'lucide-react-native/icons/rotate-ccw';
import { View } from 'react-native';
import { useEdit } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Dial } from '../../ui/Dial';
import { NumberField } from '../../ui/NumberField';
import { Toggle } from '../../ui/Toggle';
import { NumericText } from '../../ui/Words';
import { NoFigureYet } from './NoFigure';
import { type EasingChoice, TrackCard } from './tracks/TrackCard';
import { useFigure } from './useFigure';

const MOST_TURN_DEG = 3600;

/** How the figure sits on its arc, and how it turns on the way. */
export function TurnGroup({ easingChoice }: { readonly easingChoice: EasingChoice }) {
  const edit = useEdit();
  const on = useFigure();
  if (!on) return <NoFigureYet />;
  const { id: moveId, correctionDeg, turnsWithArc } = on.move;
  const turn = (to: number, undoGroup?: string): void => {
    edit('setTurning', { moveId, correctionDeg: to }, undoGroup);
  };
  return (
    <>
      <Card title={words.turning}>
        <Toggle
          label={words.turnWithTheArc}
          value={turnsWithArc}
          onChange={(value) => edit('setTurning', { moveId, turnsWithArc: value })}
        />
        <View className="mt-2 flex-row flex-wrap items-center gap-4">
          <Dial label={words.facing} valueDeg={correctionDeg} onChange={turn} />
          <View className="gap-2">
            <Button
              label={words.faceTheOtherWay}
              icon={RotateCcw}
              onPress={() => turn(correctionDeg >= 180 ? correctionDeg - 180 : correctionDeg + 180)}
            />
            <Button label={words.reset} kind="quiet" disabled={correctionDeg === 0} onPress={() => turn(0)} />
          </View>
        </View>
        <NumberField
          label={words.facingAngle}
          unit="°"
          value={correctionDeg}
          min={-MOST_TURN_DEG}
          max={MOST_TURN_DEG}
          decimals={1}
          onChange={turn}
        />
      </Card>
      {TRACKS.map(({ name }) => (
        <TrackCard key={name} track={name} easingChoice={easingChoice} />
      ))}
    </>
  );
}

/** Whether it turns with the arc, and how it faces. */
export function TurnSummary() {
  const on = useFigure();
  if (!on) return null;
  const { correctionDeg, turnsWithArc } = on.move;
  return (
    <NumericText tone="soft">{`${turnsWithArc ? words.withTheArc : 'upright'} ${correctionDeg}°`}</NumericText>
  );
}
