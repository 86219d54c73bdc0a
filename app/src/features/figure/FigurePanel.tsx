import UserPlus from 'lucide-react-native/icons/user-plus';
import { STAND_INS, standInNames, TRACKS } from '@humble/core';
import RotateCcw from 'lucide-react-native/icons/rotate-ccw';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import {
  useThrottledArc,
  useThrottledMove,
  useAppDispatch,
  useEdit,
  useThrottledEditor,
  useThrottledShot,
} from '../../store/hooks';
import { figurePutInMiddle, posesAsked } from '../../commands/posing';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { colour } from '../../ui/colour';
import { Dial } from '../../ui/Dial';
import { NumberField } from '../../ui/NumberField';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { ActCard } from './ActCard';
import { ThinningCard } from './ThinningCard';
import { type EasingChoice, TrackCard } from './tracks/TrackCard';
import { type HoldOf, PosesCard } from './PosesCard';

const MOST_TURN_DEG = 3600;
const PICTURE = 56;

interface FigurePanelProps {
  /** See `PosesCard`. */
  readonly hold: HoldOf;
  readonly easingChoice: EasingChoice;
}

/** What rides the arc, how large it is, and how it sits and turns. */
export function FigurePanel({ hold, easingChoice }: FigurePanelProps) {
  const shot = useThrottledShot();
  const move = useThrottledMove();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const tool = useThrottledEditor((editor) => editor.tool);
  const isActing = tool === 'act';
  const arcId = useThrottledArc((arc) => arc.id);
  const figure = shot.figures.find(({ id }) => id === move?.figureId);
  if (!move || !figure)
    return (
      <View className="gap-3">
        <Card title="No figure yet">
          <Words tone="soft" className="mb-3">
            {arcId
              ? 'This arc has no figure. Add one: it starts at the beginning of the arc and travels to its end.'
              : 'Place it on one frame, then somewhere else on another: the arc and its marks follow. Or draw the arc first, in the Arc step.'}
          </Words>
          <View className="flex-row">
            {arcId ? (
              <Button label="Add a figure" icon={UserPlus} onPress={() => edit('putFigureOn', { arcId })} />
            ) : (
              <Button
                label={tool === 'pose' ? 'Place it in the centre' : 'Pose it'}
                icon={UserPlus}
                kind="brass"
                onPress={() => {
                  if (tool === 'pose') dispatch(figurePutInMiddle());
                  else dispatch(posesAsked());
                }}
              />
            )}
          </View>
        </Card>
        <ActCard move={null} />
      </View>
    );
  const turn = (correctionDeg: number, undoGroup?: string): void => {
    edit('setTurning', { moveId: move.id, correctionDeg }, undoGroup);
  };
  return (
    <View className="gap-3">
      {isActing && <ActCard move={move} />}
      <ThinningCard move={move} />
      <PosesCard move={move} hold={hold} />
      {!isActing && <ActCard move={move} />}
      <Card title="Stand-in" aside={figure.name}>
        <View role="radiogroup" aria-label="Stand-in" className="flex-row flex-wrap gap-2">
          {standInNames.map((name) => (
            <StandInChoice
              key={name}
              name={name}
              isChosen={figure.artwork.standIn === name}
              onPress={() => edit('setFigure', { figureId: figure.id, standIn: name })}
            />
          ))}
        </View>
        <NumberField
          label="Height"
          unit="units"
          value={figure.height}
          min={1}
          max={20_000}
          step={10}
          decimals={1}
          onChange={(height, undoGroup) => edit('setFigure', { figureId: figure.id, height }, undoGroup)}
        />
      </Card>
      <Card title="Turning">
        <Toggle
          label="Turn with the arc"
          value={move.turnsWithArc}
          onChange={(turnsWithArc) => edit('setTurning', { moveId: move.id, turnsWithArc })}
        />
        <View className="mt-2 flex-row flex-wrap items-center gap-4">
          <Dial label="Facing" valueDeg={move.correctionDeg} onChange={turn} />
          <View className="gap-2">
            <Button
              label="Face the other way"
              icon={RotateCcw}
              onPress={() =>
                turn(move.correctionDeg >= 180 ? move.correctionDeg - 180 : move.correctionDeg + 180)
              }
            />
            <Button label="Reset" kind="quiet" disabled={move.correctionDeg === 0} onPress={() => turn(0)} />
          </View>
        </View>
        <NumberField
          label="Facing angle"
          unit="°"
          value={move.correctionDeg}
          min={-MOST_TURN_DEG}
          max={MOST_TURN_DEG}
          decimals={1}
          onChange={turn}
        />
      </Card>
      {TRACKS.map(({ name }) => (
        <TrackCard key={name} track={name} easingChoice={easingChoice} />
      ))}
    </View>
  );
}

interface StandInChoiceProps {
  readonly name: (typeof standInNames)[number];
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

function StandInChoice({ name, isChosen, onPress }: StandInChoiceProps) {
  const { label, width, height, silhouette } = STAND_INS[name];
  return (
    <Pressable
      role="radio"
      aria-checked={isChosen}
      aria-label={label}
      onPress={onPress}
      className={`w-[71px] items-center gap-1 rounded-large border px-1 py-2 ${isChosen ? 'border-brass bg-brasswash' : 'border-line bg-ground'}`}
    >
      <Svg width={PICTURE} height={PICTURE} viewBox={`0 0 ${width} ${height}`}>
        <Path d={silhouette} fill={colour.ink} />
      </Svg>
      <Words size="tiny" tone={isChosen ? 'ink' : 'soft'} className="text-center">
        {label}
      </Words>
    </Pressable>
  );
}
