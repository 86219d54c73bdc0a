import { type Gesture, STAND_INS, standingPath } from '@humble/core';
import { memo, useState } from 'react';
import { G } from 'react-native-svg';
import { activeGestureIn } from '../../../state/acting';
import { useSession, useSettings } from '../../../state/hooks';
import { LivePath, memoizeLast, usePixel } from '../../../state/live';
import { activeTravelIn } from '../../../state/selection';
import type { RootState } from '../../../state/store';
import { colour } from '../../../ui/colour';
import { currentScene } from '../scene';

/** A figure that is acted out for the first time is so high, as a share of the field. */
const FRESH_SHARE = 0.16;

/** An outline of the figure where the hand is. */
function outline(state: RootState): string {
  const { acting } = currentScene();
  const { shot } = state.shot.present;
  if (!acting || !shot) return '';
  const figure = state.editor.actsFor === 'this' ? activeTravelIn(state)?.figure : undefined;
  const standIn = STAND_INS[figure?.artwork.standIn ?? 'peg'];
  return standingPath(standIn, figure?.height ?? shot.field.height * FRESH_SHARE, acting, 0);
}

/** Places of a gesture nearer than this are one, pixels. */
const APART_PX = 1.5;

function wayOf({ x, y }: Gesture, pixel: number): string {
  let [lastX, lastY] = [Infinity, Infinity];
  let d = '';
  for (let i = 0; i < x.length; i++) {
    if (Math.abs(x[i]! - lastX) + Math.abs(y[i]! - lastY) < APART_PX * pixel) continue;
    [lastX, lastY] = [x[i]!, y[i]!];
    d += `${d ? 'L' : 'M'}${lastX} ${lastY}`;
  }
  return d;
}

/** The way of the hand beneath what it became, in the Figure step. */
export const WayOfHand = memo(function WayOfHand() {
  const pixel = usePixel();
  const isFigureStep = useSession(({ step }) => step === 'figure');
  const { showsGesture } = useSettings();
  const [way] = useState(() => memoizeLast(wayOf));
  if (!isFigureStep || !showsGesture) return null;
  return (
    <LivePath
      path={(state) => {
        const gesture = activeGestureIn(state);
        return gesture ? way(gesture, pixel) : '';
      }}
      fill="none"
      stroke={colour.persimmon}
      strokeOpacity={0.3}
      strokeWidth={9 * pixel}
      strokeLinejoin="round"
      testID="way-of-hand"
    />
  );
});

/** What goes with the hand while a gesture is recorded. */
export function ActingOutline() {
  const pixel = usePixel();
  return (
    <G>
      <LivePath
        path={outline}
        fill={colour.field}
        fillOpacity={0.6}
        stroke={colour.field}
        strokeWidth={5 * pixel}
      />
      <LivePath
        path={outline}
        fill="none"
        stroke={colour.brass}
        strokeWidth={2.25 * pixel}
        testID="acting-outline"
      />
    </G>
  );
}
