import { type Figure, lookOf, type Vector } from '@humble/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { G, Image, Path } from 'react-native-svg';
import { pictureAddress } from '../../../persistence/pictures';
import { useEdit } from '../../../store/hooks';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { createUndoGroup } from '../../../ui/undoGroup';
import { useLatest } from '../../../ui/useLatest';
import { cycleWords as words } from '../../../words/cycle';
import { fittedLook, LOOK_HEIGHT } from '../fittedLook';

const DIGITS = 10;
const rounded = (value: number): number => Math.round(value * DIGITS) / DIGITS;

/** Where the spot is taken to be on a drawing that has none: the foot of the picture under its pivot. */
export const spotOn = (figure: Figure, drawing: number): Vector => {
  const look = lookOf(figure, drawing);
  return look.picture?.planted ?? { x: rounded(look.pivot.x), y: look.height };
};

interface PlantedEditorProps {
  readonly figure: Figure;
  readonly drawing: number;
  readonly contact: number;
}

export function PlantedEditor(props: PlantedEditorProps) {
  const [width, setWidth] = useState(0);
  const edit = useEdit();
  const live = useLatest({ ...props, width, edit });
  const drag = useMemo(() => {
    const held = { undoGroup: '' };
    const put = ({ x, y }: Vector): void => {
      const now = live();
      const at = fittedLook(lookOf(now.figure, now.drawing), now.width).toLook({ x, y });
      const { planted } = lookOf(now.figure, now.drawing).picture ?? {};
      now.edit(
        'setPlanted',
        {
          figureId: now.figure.id,
          drawing: now.drawing,
          spot: { x: rounded(at.x), y: rounded(at.y) },
          contact: planted?.contact ?? now.contact,
        },
        held.undoGroup,
      );
    };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin((at) => {
        held.undoGroup = createUndoGroup('planted');
        put(at);
      })
      .onUpdate(put);
  }, [live]);
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        testID="planted-editor"
        role="img"
        aria-label={words.editor}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        style={{ height: LOOK_HEIGHT }}
        className="mt-2 cursor-crosshair rounded-small border border-line bg-ground"
      >
        {width > 0 && <Pictures {...props} width={width} />}
      </View>
    </GestureDetector>
  );
}

const CROSS_PX = 11;

const cross = ({ x, y }: Vector): string =>
  `M${x - CROSS_PX} ${y}H${x + CROSS_PX}M${x} ${y - CROSS_PX}V${y + CROSS_PX}`;

function Pictures({ figure, drawing, width }: PlantedEditorProps & { readonly width: number }) {
  const look = lookOf(figure, drawing);
  const before = drawing > 1 ? lookOf(figure, drawing - 1) : null;
  const map = fittedLook(look, width);
  const planted = look.picture?.planted;
  return (
    <Drawing width={width} height={LOOK_HEIGHT}>
      <G transform={`translate(${map.x} ${map.y}) scale(${map.scale})`}>
        {before && (
          <Path
            d={before.silhouette}
            fill="none"
            stroke={colour.cool}
            strokeWidth={1.5 / map.scale}
            strokeOpacity={0.7}
          />
        )}
        {look.picture && (
          <Image
            href={pictureAddress(look.picture.sha256)}
            width={look.width}
            height={look.height}
            preserveAspectRatio="none"
          />
        )}
      </G>
      {before?.picture?.planted && (
        <Path d={cross(map.toView(before.picture.planted))} stroke={colour.cool} strokeWidth={2} />
      )}
      {planted && (
        <>
          <Path d={cross(map.toView(planted))} stroke={colour.card} strokeWidth={6} />
          <Path d={cross(map.toView(planted))} stroke={colour.brass} strokeWidth={2.5} />
        </>
      )}
    </Drawing>
  );
}
