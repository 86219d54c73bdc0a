import { type Figure, lookOf, type Vector } from '@humble/core';
import { pinPath } from '@humble/core/views';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { G, Path } from 'react-native-svg';
import { LivePath, useLiveDrawing } from '../../../playback/liveShapes';
import type { RootState } from '../../../store/store';
import { useThrottledStore } from '../../../store/throttled/hooks';
import { circlePath } from '../../../ui/circlePath';
import { useEdit } from '../../../store/hooks';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { createUndoGroup } from '../../../ui/undoGroup';
import { useLatest } from '../../../ui/useLatest';
import { inbetweenWords as words } from '../../../words/inbetween';
import { fittedLook, LOOK_HEIGHT } from '../fittedLook';

interface PinPathProps {
  readonly figure: Figure;
  readonly first: number;
  readonly second: number;
  readonly pinId: string;
}

const HANDLE_PX = 8;
const DIGITS = 10;
const rounded = (value: number): number => Math.round(value * DIGITS) / DIGITS;

/** The way of one pin between both drawings, seen from the pivot: its middle is dragged to bend it. */
export function PinPath(props: PinPathProps) {
  const { figure, first, second, pinId } = props;
  const [width, setWidth] = useState(0);
  const edit = useEdit();
  const throttled = useThrottledStore();
  const live = useLatest({ ...props, width, edit });
  const drag = useMemo(() => {
    const held = { undoGroup: '' };
    const bend = ({ x, y }: Vector): void => {
      const now = live();
      const path = pinPath(now.figure, now.first, now.second, now.pinId);
      if (!path) return;
      const at = fittedLook(lookOf(now.figure, now.first), now.width).toLook({ x, y });
      const bow = { x: rounded(at.x - path.straightHalf.x), y: rounded(at.y - path.straightHalf.y) };
      const { figure: of, edit: change } = now;
      change(
        'setPin',
        { figureId: of.id, first: now.first, second: now.second, pinId: now.pinId, set: { bow } },
        held.undoGroup,
      );
    };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin(() => {
        held.undoGroup = createUndoGroup('bow');
        throttled.begin();
      })
      .onUpdate(bend)
      .onFinalize(() => throttled.end());
  }, [live, throttled]);
  useLiveDrawing();
  const path = pinPath(figure, first, second, pinId);
  if (!path) return null;
  const [a, b] = [lookOf(figure, first), lookOf(figure, second)];
  const map = fittedLook(a, width);
  /** The path as it is now: it follows the finger. */
  const pathIn = (state: RootState) => {
    const now = state.shot.present.shot?.figures.find(({ id }) => id === figure.id);
    return (now && pinPath(now, first, second, pinId)) ?? path;
  };
  const line = (state: RootState): string =>
    `M${pathIn(state)
      .points.map(map.toView)
      .map(({ x, y }) => `${x} ${y}`)
      .join('L')}`;
  const handle = (state: RootState): string => circlePath(map.toView(pathIn(state).half), HANDLE_PX);
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        testID="pin-path"
        role="img"
        aria-label={words.pathEditor}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        style={{ height: LOOK_HEIGHT }}
        className="mt-2 cursor-crosshair rounded-small border border-line bg-ground"
      >
        {width > 0 && (
          <Drawing width={width} height={LOOK_HEIGHT}>
            <G transform={`translate(${map.x} ${map.y}) scale(${map.scale})`} strokeOpacity={0.7}>
              <Path d={a.silhouette} fill="none" stroke={colour.cool} strokeWidth={1.5 / map.scale} />
              <G transform={`translate(${a.pivot.x - b.pivot.x} ${a.pivot.y - b.pivot.y})`}>
                <Path d={b.silhouette} fill="none" stroke={colour.warm} strokeWidth={1.5 / map.scale} />
              </G>
            </G>
            <LivePath path={line} fill="none" stroke={colour.indigo} strokeWidth={2} />
            <LivePath path={handle} fill={colour.brass} stroke={colour.card} strokeWidth={2} />
          </Drawing>
        )}
      </View>
    </GestureDetector>
  );
}
