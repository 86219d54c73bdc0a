import { FRESH_FIGURE_SHARE, STAND_INS, standingPath } from '@humble/core';
import { G } from 'react-native-svg';
import { LivePath, usePixel } from '../../../render/livePaths';
import { activeTravelIn } from '../../../store/selection';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { currentScene } from '../scene';

/** An outline of the figure at the pointer. */
function outline(state: RootState): string {
  const { acting } = currentScene();
  const { shot } = state.shot.present;
  if (!acting || !shot) return '';
  const figure = state.editor.actsFor === 'this' ? activeTravelIn(state)?.figure : undefined;
  const standIn = STAND_INS[figure?.artwork.standIn ?? 'peg'];
  return standingPath(standIn, figure?.height ?? shot.field.height * FRESH_FIGURE_SHARE, acting, 0);
}

/** What follows the pointer while a gesture is recorded. */
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
