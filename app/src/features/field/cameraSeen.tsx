import { type CameraOn, cameraOf, cameraOn, isCamera, laidForCamera, svgMatrix } from '@humble/core';
import { cameraFramePath } from '@humble/core/views';
import { createContext, type ReactNode, useContext, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { G } from 'react-native-svg';
import { LivePath } from '../../playback/liveShapes';
import { currentFrame, usePlayhead } from '../../playback/playhead';
import { PixelContext, usePixel } from '../../render/pixel';
import { selectActiveMove } from '../../store/selectors/active';
import { selectActiveTravel, selectEdits } from '../../store/selectors/selection';
import type { RootState } from '../../store/store';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';
import { colour } from '../../ui/colour';
import { usePointerScene } from './pointerScene';

/** The camera that the field is looked at through; null where the field is seen as it is planned. */
export const CameraSeenContext = createContext<CameraOn | null>(null);

/** There is a camera to look through; pictures of the set have one of their own. */
export const selectCanLookThrough = (state: RootState): boolean => {
  const { shot } = state.shot.present;
  const camera = shot && cameraOf(shot);
  return camera !== null && camera !== undefined && !camera.hidden && selectEdits(state) !== 'pictures';
};

const selectLooksThrough = (state: RootState): boolean =>
  state.editor.looksThrough && selectCanLookThrough(state);

/** Where the camera is on the frame of the playhead. It stays there while something is dragged: the camera may be what is. */
export function useCameraSeen(): CameraOn | null {
  const looks = useThrottledSelector(selectLooksThrough);
  const frame = usePlayhead((playhead) => (looks ? playhead.frame : 0));
  const camera = useThrottledSelector(({ shot: { present } }) => {
    const { shot } = present;
    return shot && frame > 0 ? cameraOn(shot, Math.min(frame, shot.lengthFrames)) : null;
  }, shallowEqual);
  const isHeld = usePointerScene(({ isDragging }) => isDragging);
  const [seen, setSeen] = useState(camera);
  // The same place is the same object: the view does not follow from each of them anew.
  if (!isHeld && !shallowEqual(seen, camera)) setSeen(camera);
  return seen;
}

/** Whether what is worked on goes with the camera: it is placed in the picture, as where the camera rests. */
export const selectIsActiveFixed = (state: RootState): boolean => {
  const figureId = selectActiveMove(state)?.figureId;
  const figure = state.shot.present.shot?.figures.find(({ id }) => id === figureId);
  return figure?.isFixedToCamera ?? false;
};

interface LaidProps {
  readonly distance: number | 'fixed';
  readonly children: ReactNode;
}

/** What lies at a distance from the camera, laid where it has to be for the view through it. */
export function Laid({ distance, children }: LaidProps) {
  const camera = useContext(CameraSeenContext);
  const field = useThrottledShotValue((shot) => shot.field);
  const pixel = usePixel();
  const there = camera && distance !== 1 ? laidForCamera(camera, field, distance) : undefined;
  if (there === null) return null;
  if (!there) return <G>{children}</G>;
  return (
    <PixelContext value={pixel / Math.hypot(there.a, there.b)}>
      <G transform={svgMatrix(there)}>{children}</G>
    </PixelContext>
  );
}

/** Guides and handles of what is worked on. */
export function LaidAsActive({ children }: { readonly children: ReactNode }) {
  const isFixed = useThrottledSelector(selectIsActiveFixed);
  return <Laid distance={isFixed ? 'fixed' : 1}>{children}</Laid>;
}

/** So far round the frame reaches what dims, in widths of the field. */
const AROUND = 60;

function dimmedPath(state: RootState, camera: CameraOn | null): string {
  const { shot } = state.shot.present;
  if (!shot) return '';
  const travel = selectActiveTravel(state);
  const framed =
    camera ??
    (travel && isCamera(travel.figure) ? cameraOn(shot, Math.min(currentFrame(), shot.lengthFrames)) : null);
  if (!framed) return '';
  const corners = cameraFramePath(framed, shot.field);
  const far = AROUND * shot.field.width;
  return `M${-far} ${-far}H${far}V${far}H${-far}Z${corners}`;
}

/** What the camera does not see is dimmed: while it is looked through, and while it is what one works on. */
export function OutsideFrame() {
  const camera = useContext(CameraSeenContext);
  return (
    <LivePath
      path={(state) => dimmedPath(state, camera)}
      fill={colour.desk}
      fillOpacity={camera ? LOOKED_THROUGH : WORKED_ON}
      fillRule="evenodd"
      testID="outside-frame"
    />
  );
}

const LOOKED_THROUGH = 0.8;
const WORKED_ON = 0.45;
