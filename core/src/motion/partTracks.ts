import type { Figure, Shot, Waiting } from '../model/schema';
import { shownExposures } from '../exposure/shownFrames';
import { evaluate, type Travel } from './evaluate';
import { NO_MOVE, partsOn } from './figureOn';
import { cameraOn, type CameraOn, cameraTravel, isCamera } from './cameraView';
import { heightInField, lookOf } from './look';
import { type Scale, scaleOn } from './scale';

export interface PartState {
  readonly frame: number;
  readonly x: number;
  readonly y: number;
  readonly headingDeg: number;
  readonly scale: Scale;
  readonly opacity: number;
  readonly drawing: number;
  /** Its outline in the field where it is bent along its arc; null for any other. */
  readonly bent: string | null;
}

/** A part of a shot and how it stands over time: what it is, turned, flipped and sized by steps that can be animated apart. */
export interface PartTrack {
  readonly name: string;
  readonly figure: Figure;
  /** Between its heading and its size: flipped across or down (−1), and turned back by the way that it looks. */
  readonly flipX: 1 | -1;
  readonly flipY: 1 | -1;
  readonly frontDeg: number;
  /** It stands in the picture, whatever the camera does. */
  readonly isFixedToCamera: boolean;
  readonly states: readonly PartState[];
}

/** Across its front where it turns with its arc, else left to right. */
function flipsOf(
  part: Pick<Figure, 'frontDeg'>,
  turnsWithArc: boolean,
  mirrored: boolean,
): Pick<PartTrack, 'flipX' | 'flipY' | 'frontDeg'> {
  const flip = mirrored ? -1 : 1;
  return turnsWithArc
    ? { flipX: 1, flipY: flip, frontDeg: part.frontDeg }
    : { flipX: flip, flipY: 1, frontDeg: 0 };
}

function tracksOf(shot: Shot, travel: Travel): readonly PartTrack[] {
  const { move, figure, figureHeight } = travel;
  const heights = new Map(travel.riders.map(({ rider, height }) => [rider.id, height]));
  const onFrames = shownExposures(move, shot).map(({ frame }) => ({
    frame,
    parts: partsOn(travel, frame - 1),
  }));
  return (onFrames[0]?.parts ?? []).map(({ rider }, index): PartTrack => {
    const part = rider ?? figure;
    const { mirrored, turnsWithArc } = rider ?? move;
    const height = rider ? heights.get(rider.id)! : figureHeight;
    const k = height / lookOf(part).height;
    const own = rider ? rider.sizePercent / 100 : 1;
    return {
      name: part.name,
      figure: part,
      ...flipsOf(part, turnsWithArc, mirrored),
      isFixedToCamera: figure.isFixedToCamera,
      states: onFrames.map(({ frame, parts }): PartState => {
        const { pivotX, pivotY, headingDeg, opacity, drawing, slices, look } = parts[index]!;
        const { across, down } = scaleOn(travel, frame - 1);
        return {
          frame,
          x: pivotX,
          y: pivotY,
          headingDeg,
          scale: { across: k * own * across, down: k * own * down },
          opacity,
          drawing: Math.max(1, drawing),
          bent: slices ? look.silhouette : null,
        };
      }),
    };
  });
}

function waitingTrack({ field }: Shot, figure: Figure, { move, x, y, turnDeg }: Waiting): PartTrack {
  const { turnsWithArc, mirrored } = move ?? NO_MOVE;
  const k = heightInField(figure, field) / lookOf(figure).height;
  const state: PartState = {
    frame: 1,
    x,
    y,
    headingDeg: turnDeg,
    scale: { across: k, down: k },
    opacity: 1,
    drawing: 1,
    bent: null,
  };
  const { name, isFixedToCamera } = figure;
  return { name, figure, ...flipsOf(figure, turnsWithArc, mirrored), isFixedToCamera, states: [state] };
}

/** All parts of a shot that are seen, those at the back first. */
export function partTracks(shot: Shot): readonly PartTrack[] {
  const { travels } = evaluate(shot);
  return shot.figures
    .filter((figure) => !figure.hidden && !isCamera(figure))
    .flatMap((figure): readonly PartTrack[] => {
      const travel = travels.find((one) => one.figure.id === figure.id);
      if (travel) return tracksOf(shot, travel);
      const waiting = shot.waiting.find(({ figureId }) => figureId === figure.id);
      return waiting ? [waitingTrack(shot, figure, waiting)] : [];
    });
}

/** The camera over time, by its exposures; null where all is seen. */
export interface CameraState extends CameraOn {
  readonly frame: number;
}

export function cameraStates(shot: Shot): readonly CameraState[] | null {
  const travel = cameraTravel(evaluate(shot));
  const frames = travel ? shownExposures(travel.move, shot).map(({ frame }) => frame) : [1];
  const states = frames.map((frame): CameraState | null => {
    const camera = cameraOn(shot, frame);
    return camera && { frame, ...camera };
  });
  return states.every((state) => state !== null) ? states : null;
}
