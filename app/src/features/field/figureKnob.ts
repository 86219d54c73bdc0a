import { type Move, scaleOn, type Vector } from '@humble/core';
import { Dimensions } from 'react-native';
import { currentFrame, isPlaying } from '../../playback/playhead';
import { selectActiveTravel, selectEdits } from '../../store/selectors/selection';
import type { RootState } from '../../store/store';
import { layoutOf } from '../../ui/layout';

/**
 * A knob at the figure that changes one of its tracks at the playhead: its rim turns it, its corner sizes it, and its
 * pivot takes it off its place on the arc.
 */
export interface FigureKnob {
  readonly track: 'turn' | 'size' | 'offset';
  readonly at: Vector;
  /** How far round the knob a press takes it, field units. */
  readonly reach: number;
  readonly pivot: Vector;
  readonly moveId: string;
  readonly frame: number;
  readonly value: number;
  readonly valueDown: number;
  readonly offsetIn: Move['offsetIn'];
  /** What a riding offset is turned with, degrees. */
  readonly directionDeg: number;
}

/** A figure is taken by its body: within this share of its height from the pivot. */
export const BODY_SHARE = 0.6;
/** So far from the pivot as the figure is high, and a little more. */
const AWAY = 1.15;
/** Where the corner is seen from the pivot, degrees. */
const CORNER_DEG = -45;

const onCircle = (about: Vector, radius: number, degrees: number): Vector => ({
  x: about.x + radius * Math.cos((degrees * Math.PI) / 180),
  y: about.y + radius * Math.sin((degrees * Math.PI) / 180),
});

const KNOBS = ['turn', 'size', 'offset'] as const;

/** The open line of the keys, where it has a knob in the field. */
function knobTrack({ settings }: RootState): FigureKnob['track'] | null {
  const isInFront = (settings.groupInFront.figure ?? 'keys') === 'keys' || isWide();
  return (isInFront && KNOBS.find((knob) => knob === settings.keyLine)) || null;
}

function isWide(): boolean {
  const { width, height } = Dimensions.get('window');
  return layoutOf(width, height) === 'wide';
}

/** The knob of the line of keys that is open; null while there is none. */
export function selectFigureKnob(state: RootState): FigureKnob | null {
  const track = knobTrack(state);
  if (track === null || selectEdits(state) !== 'poses') return null;
  if (state.editor.tool !== 'shape' || isPlaying()) return null;
  const travel = selectActiveTravel(state);
  if (!travel || travel.arc.hidden || travel.arc.locked || travel.figure.locked) return null;
  const frame = Math.min(currentFrame(), travel.x.length);
  const i = travel.shown[frame - 1]! - 1;
  const pivot = { x: travel.pivotX[i]!, y: travel.pivotY[i]! };
  const { across, down } = scaleOn(travel, i);
  const radius = travel.figureHeight * Math.max(across, down) * AWAY;
  const isOffset = track === 'offset';
  return {
    track,
    pivot,
    frame,
    at: isOffset ? pivot : onCircle(pivot, radius, track === 'turn' ? travel.heading[i]! : CORNER_DEG),
    reach: isOffset ? travel.figureHeight * BODY_SHARE : 0,
    moveId: travel.move.id,
    value: travel.tracks[isOffset ? 'offsetX' : track][frame - 1]!,
    valueDown: travel.tracks.offsetY[frame - 1]!,
    offsetIn: travel.move.offsetIn,
    directionDeg: travel.blendedDirection[i]!,
  };
}
