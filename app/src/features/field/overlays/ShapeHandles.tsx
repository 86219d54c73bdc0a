import { shapeHandles } from '@humble/core';
import { shallowEqual } from 'react-redux';
import { Circle } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LiveGroup } from '../../../playback/liveShapes';
import { usePointerScene } from '../pointerScene';
import { selectActiveArc } from '../../../store/selectors/active';
import { useThrottledSelector } from '../../../store/throttled/hooks';

/** Handles of a ready shape: rings, so that none of them is taken for a point. */
export function ShapeHandles() {
  const ids = useThrottledSelector((state) => {
    const arc = selectActiveArc(state);
    return arc?.shape && !arc.hidden && !arc.locked ? shapeHandles(arc.shape).map(({ id }) => id) : [];
  }, shallowEqual);
  return ids.map((id) => <ShapeHandle key={id} id={id} />);
}

function ShapeHandle({ id }: { readonly id: string }) {
  const pixel = usePixel();
  const isHovered = usePointerScene(({ hovered }) => hovered?.kind === 'shape-handle' && hovered.id === id);
  const transform = (state: RootState): string => {
    const shape = selectActiveArc(state)?.shape;
    const handle = shape && shapeHandles(shape).find((candidate) => candidate.id === id);
    return handle ? `translate(${handle.at.x} ${handle.at.y})` : '';
  };
  const radius = (isHovered ? 10 : 8) * pixel;
  return (
    <LiveGroup transform={transform} testID={`shape-handle-${id}`}>
      <Circle r={radius} fill="none" stroke={colour.field} strokeWidth={6 * pixel} />
      <Circle
        r={radius}
        fill={colour.brasswash}
        fillOpacity={0.6}
        stroke={colour.brass}
        strokeWidth={2.5 * pixel}
      />
    </LiveGroup>
  );
}
