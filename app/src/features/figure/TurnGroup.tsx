import { figureWords as words } from '../../words/figure';
import { MAX_SMOOTH_FRAMES, type Move } from '@humble/core';
import RefreshCw from 'lucide-react-native/icons/refresh-cw';
import { View } from 'react-native';
import { useThrottledFrame } from '../../playback/playhead';
import { useEdit } from '../../store/hooks';
import { selectActiveTravel } from '../../store/selectors/selection';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Dial } from '../../ui/Dial';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Toggle } from '../../ui/Toggle';
import { NumericText, Words } from '../../ui/Words';
import { tiltOf } from '../../kinds/tracks/tilt';
import { NoFigureYet } from './NoFigure';
import { type EasingChoice, TrackCard } from './tracks/TrackCard';
import { useFigure } from './useFigure';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

const MAX_TURN_DEG = 3600;
const MAX_LEAN_DEG = 180;

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
      <Card title={words.turning} aside={<HeadingHere />}>
        <Toggle
          label={words.turnWithTheArc}
          value={turnsWithArc}
          onChange={(value) => edit('setTurning', { moveId, turnsWithArc: value })}
        />
        <View className="mt-2 flex-row flex-wrap items-center gap-4">
          <Dial label={words.facing} valueDeg={correctionDeg} onChange={turn} />
          <View className="gap-2">
            <View className="flex-row gap-2">
              <Button
                label={words.quarterBack}
                shows={words.quarterBackShort}
                onPress={() => turn(correctionDeg - 90)}
              />
              <Button
                label={words.quarterOn}
                shows={words.quarterOnShort}
                onPress={() => turn(correctionDeg + 90)}
              />
            </View>
            <Button label={words.reset} kind="quiet" disabled={correctionDeg === 0} onPress={() => turn(0)} />
          </View>
        </View>
        <NumberField
          label={words.facingAngle}
          unit="°"
          value={correctionDeg}
          min={-MAX_TURN_DEG}
          max={MAX_TURN_DEG}
          decimals={1}
          onChange={turn}
        />
      </Card>
      {turnsWithArc && (
        <Card title={words.onTheWay}>
          <AlongTheArc move={on.move} />
        </Card>
      )}
      <TrackCard track="turn" easingChoice={easingChoice} />
      {on.move.tracks.turn.length > 1 && (
        <View className="flex-row">
          <Button
            label={words.wholeSpins}
            icon={RefreshCw}
            onPress={() => edit('straightenSpins', { moveId })}
          />
        </View>
      )}
    </>
  );
}

function HeadingHere() {
  const frame = useThrottledFrame();
  const heading = useThrottledSelector((state) => {
    const travel = selectActiveTravel(state);
    return travel ? travel.heading[Math.min(frame, travel.heading.length) - 1]! : null;
  });
  return heading === null ? null : (
    <NumericText tone="soft" size="tiny">
      {tiltOf(heading)}
    </NumericText>
  );
}

interface OfMoveProps {
  readonly move: Move;
}

const BACKWARDS = [
  { value: 'keeps', label: words.keepsFacing },
  { value: 'faces', label: words.facesItsWay },
] as const;

function AlongTheArc({ move: { id: moveId, backwards, cornerFrames, smoothFrames } }: OfMoveProps) {
  const edit = useEdit();
  return (
    <View className="mt-1 gap-1">
      <Words tone="soft">{words.whereItGoesBack}</Words>
      <Segmented
        label={words.whereItGoesBack}
        value={backwards}
        options={BACKWARDS}
        onChange={(value) => edit('setTurning', { moveId, backwards: value })}
      />
      <NumberField
        label={words.cornersOver}
        unit={words.frames}
        value={cornerFrames}
        min={0}
        max={MAX_SMOOTH_FRAMES}
        onChange={(frames, undoGroup) => edit('setTurning', { moveId, cornerFrames: frames }, undoGroup)}
      />
      <NumberField
        label={words.smoothTheHeading}
        unit={words.frames}
        value={smoothFrames}
        min={0}
        max={MAX_SMOOTH_FRAMES}
        onChange={(frames, undoGroup) => edit('setTurning', { moveId, smoothFrames: frames }, undoGroup)}
      />
    </View>
  );
}

const LEANS = [
  { value: 'none', label: words.noLean },
  { value: 'most', label: words.leanByDegrees },
  { value: 'physics', label: words.leanByPhysics },
] as const;

export function LeanGroup() {
  const on = useFigure();
  return on && <Lean move={on.move} />;
}

function Lean({ move: { id: moveId, lean } }: OfMoveProps) {
  const edit = useEdit();
  const hasScale = useThrottledShotValue(({ field }) => field.unitsPerMm !== null);
  const set = (some: Partial<Move['lean']>, undoGroup?: string): void => {
    edit('setTurning', { moveId, lean: { ...lean, ...some } }, undoGroup);
  };
  return (
    <View className="gap-1">
      <Words tone="soft">{words.leanIntoBends}</Words>
      <Segmented label={words.leanIntoBends} value={lean.by} options={LEANS} onChange={(by) => set({ by })} />
      {lean.by === 'physics' && !hasScale && (
        <Words role="status" tone="plum">
          {words.leanNeedsAScale}
        </Words>
      )}
      {lean.by === 'most' && (
        <NumberField
          label={words.leanAtMost}
          unit="°"
          value={lean.mostDeg}
          min={-MAX_LEAN_DEG}
          max={MAX_LEAN_DEG}
          decimals={1}
          onChange={(mostDeg, undoGroup) => set({ mostDeg }, undoGroup)}
        />
      )}
      {lean.by !== 'none' && (
        <NumberField
          label={words.smoothTheLean}
          unit={words.frames}
          value={lean.smoothFrames}
          min={0}
          max={MAX_SMOOTH_FRAMES}
          onChange={(smoothFrames, undoGroup) => set({ smoothFrames }, undoGroup)}
        />
      )}
      {lean.by !== 'none' && (
        <View className="flex-row">
          <Button label={words.leanToKeys} onPress={() => edit('leanToKeys', { moveId })} />
        </View>
      )}
    </View>
  );
}
