import { TERMS } from '../../words/terms';
import { figureWords as words } from '../../words/figure';
import { STAND_INS, standInNames } from '@humble/core';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { Card } from '../../ui/Card';
import { colour } from '../../ui/colour';
import { NumberField } from '../../ui/NumberField';
import { Words } from '../../ui/Words';
import { NoFigureYet } from './NoFigure';
import { useFigure } from './useFigure';

const PICTURE = 56;

/** What the figure looks like, and how large it is. */
export function LooksGroup() {
  const edit = useEdit();
  const on = useFigure();
  const { field: length } = useLengths();
  if (!on) return <NoFigureYet />;
  const { id: figureId, artwork, height, name } = on.figure;
  return (
    <Card title={words.standIn} term={TERMS.figure} aside={name}>
      <View role="radiogroup" aria-label={words.standIn} className="flex-row flex-wrap gap-2">
        {standInNames.map((standIn) => (
          <StandInChoice
            key={standIn}
            name={standIn}
            isChosen={artwork.standIn === standIn}
            onPress={() => edit('setFigure', { figureId, standIn })}
          />
        ))}
      </View>
      <NumberField
        {...length({
          label: words.height,
          value: height,
          min: 1,
          max: 20_000,
          step: 10,
          onChange: (next, undoGroup) => edit('setFigure', { figureId, height: next }, undoGroup),
        })}
      />
    </Card>
  );
}

/** Which stand-in it is. */
export function LooksSummary() {
  const on = useFigure();
  return on && <Words tone="soft">{on.figure.name}</Words>;
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
