import { distance, type Figure, lookOf, pivotSpots, type Vector } from '@humble/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Circle, G, Image, Path } from 'react-native-svg';
import { pictureAddress } from '../../persistence/pictures';
import { colour } from '../../ui/colour';
import { Drawing } from '../../ui/Drawing';
import { createUndoGroup } from '../../ui/undoGroup';
import { useLatest } from '../../ui/useLatest';
import { figuresWords as words } from '../../words/figures';
import { fittedLook, LOOK_HEIGHT } from './fittedLook';

/** A pivot this near to a spot comes to it, pixels. */
const SNAP_PX = 12;
const ARROW_PX = 64;
/** Whole right angles hold the arrow within so many degrees. */
const DETENT_DEG = 5;
const DIGITS = 10;

const rounded = (value: number): number => Math.round(value * DIGITS) / DIGITS;

const onCircle = (about: Vector, degrees: number): Vector => ({
  x: about.x + ARROW_PX * Math.cos((degrees * Math.PI) / 180),
  y: about.y + ARROW_PX * Math.sin((degrees * Math.PI) / 180),
});

function settledAngle(degrees: number): number {
  const quarter = Math.round(degrees / 90) * 90;
  const whole = Math.abs(degrees - quarter) <= DETENT_DEG ? quarter : Math.round(degrees);
  return whole === -180 ? 180 : whole;
}

interface PivotEditorProps {
  readonly figure: Figure;
  readonly onChange: (some: Partial<Pick<Figure, 'pivot' | 'frontDeg'>>, undoGroup: string) => void;
}

export function PivotEditor({ figure, onChange }: PivotEditorProps) {
  const [width, setWidth] = useState(0);
  const live = useLatest({ figure, width, onChange });
  const hasFront = figure.artwork.kind === 'pictures';
  const drag = useMemo(() => {
    const held = { undoGroup: '', part: 'pivot' as 'pivot' | 'front', by: { x: 0, y: 0 } };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin(({ x, y }) => {
        const now = live();
        const pivot = fittedLook(lookOf(now.figure), now.width).toView(lookOf(now.figure).pivot);
        const tip = onCircle(pivot, now.figure.frontDeg);
        const isFront =
          now.figure.artwork.kind === 'pictures' && distance(tip, { x, y }) < distance(pivot, { x, y });
        Object.assign(held, {
          undoGroup: createUndoGroup('pivot'),
          part: isFront ? 'front' : 'pivot',
          by: { x: pivot.x - x, y: pivot.y - y },
        });
      })
      .onUpdate(({ x, y }) => {
        const now = live();
        const look = lookOf(now.figure);
        const map = fittedLook(look, now.width);
        if (held.part === 'front') {
          const pivot = map.toView(look.pivot);
          const degrees = (Math.atan2(y - pivot.y, x - pivot.x) * 180) / Math.PI;
          now.onChange({ frontDeg: settledAngle(degrees) }, held.undoGroup);
          return;
        }
        const at = { x: x + held.by.x, y: y + held.by.y };
        const spot = pivotSpots(look).find((one) => distance(map.toView(one), at) <= SNAP_PX);
        const to = spot ?? map.toLook(at);
        now.onChange({ pivot: { x: rounded(to.x), y: rounded(to.y) } }, held.undoGroup);
      });
  }, [live]);
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        testID="pivot-editor"
        role="img"
        aria-label={words.dragPivot}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        style={{ height: LOOK_HEIGHT }}
        className="mt-2 cursor-move rounded-small border border-line bg-ground"
      >
        {width > 0 && <Picture figure={figure} width={width} hasFront={hasFront} />}
      </View>
    </GestureDetector>
  );
}

interface PictureProps {
  readonly figure: Figure;
  readonly width: number;
  readonly hasFront: boolean;
}

function Picture({ figure, width, hasFront }: PictureProps) {
  const look = lookOf(figure);
  const map = fittedLook(look, width);
  const pivot = map.toView(look.pivot);
  const tip = onCircle(pivot, figure.frontDeg);
  return (
    <Drawing width={width} height={LOOK_HEIGHT}>
      <G transform={`translate(${map.x} ${map.y}) scale(${map.scale})`}>
        {look.picture ? (
          <Image
            href={pictureAddress(look.picture.sha256)}
            width={look.width}
            height={look.height}
            preserveAspectRatio="none"
          />
        ) : (
          <Path d={look.silhouette} fill={colour.soft} />
        )}
      </G>
      {pivotSpots(look).map((spot) => {
        const at = map.toView(spot);
        return (
          <Circle
            key={`${spot.x} ${spot.y}`}
            cx={at.x}
            cy={at.y}
            r={3}
            fill={colour.card}
            stroke={colour.soft}
          />
        );
      })}
      {hasFront && (
        <>
          <Path d={`M${pivot.x} ${pivot.y}L${tip.x} ${tip.y}`} stroke={colour.indigo} strokeWidth={2} />
          <G transform={`translate(${tip.x} ${tip.y}) rotate(${figure.frontDeg})`}>
            <Path d="M8 0L-7 -8L-7 8Z" fill={colour.indigo} stroke={colour.card} strokeWidth={1.5} />
          </G>
        </>
      )}
      <Circle cx={pivot.x} cy={pivot.y} r={9} fill="none" stroke={colour.card} strokeWidth={5} />
      <Circle cx={pivot.x} cy={pivot.y} r={9} fill="none" stroke={colour.brass} strokeWidth={2.5} />
      <Circle cx={pivot.x} cy={pivot.y} r={2} fill={colour.brass} />
    </Drawing>
  );
}
