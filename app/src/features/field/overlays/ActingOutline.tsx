import { FRESH_FIGURE_SHARE, lookOf, STAND_INS } from '@humble/core';
import { SILHOUETTE_UNITS, silhouettePath } from '@humble/core/views';
import { G } from 'react-native-svg';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { selectActiveTravel } from '../../../store/selectors/selection';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { currentPointerScene } from '../pointerScene';

function outline(state: RootState): string {
  const { acting } = currentPointerScene();
  const { shot } = state.shot.present;
  if (!acting || !shot) return '';
  const travel = state.editor.actsFor === 'this' ? selectActiveTravel(state) : null;
  const look = travel ? lookOf(travel.figure) : STAND_INS.peg;
  const height = travel?.figureHeight ?? shot.field.height * FRESH_FIGURE_SHARE;
  const k = height / look.height;
  const { pivot } = look;
  const placement = { a: k, b: 0, c: 0, d: k, e: acting.x - k * pivot.x, f: acting.y - k * pivot.y };
  return silhouettePath(look, placement);
}

export function ActingOutline() {
  const pixel = usePixel() * SILHOUETTE_UNITS;
  return (
    <G scale={1 / SILHOUETTE_UNITS}>
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
