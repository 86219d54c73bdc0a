import { scaleOn, type TrackName, type Vector } from '@humble/core';
import { Dimensions } from 'react-native';
import { currentFrame, isPlaying } from '../../playback/playhead';
import { activeTravelIn, editsIn } from '../../store/selection';
import type { RootState } from '../../store/store';
import { layoutOf } from '../../ui/layout';

/** A knob at the figure that sets a key of one of its tracks at the playhead: its rim turns it, its corner sizes it. */
export interface FigureKnob {
  readonly track: Extract<TrackName, 'turn' | 'size'>;
  readonly at: Vector;
  /** What it turns and sizes about. */
  readonly pivot: Vector;
  readonly moveId: string;
  readonly frame: number;
  /** The value of the track there. */
  readonly value: number;
}

/** So far from the pivot as the figure is high, and a little more. */
const AWAY = 1.15;
/** Where the corner is seen from the pivot, degrees. */
const CORNER_DEG = -45;

const onCircle = (about: Vector, radius: number, degrees: number): Vector => ({
  x: about.x + radius * Math.cos((degrees * Math.PI) / 180),
  y: about.y + radius * Math.sin((degrees * Math.PI) / 180),
});

/** The group that has its knob in the field: the one in front, and on a wide screen else *Turn* while it is open. */
function knobTrack({ settings }: RootState): FigureKnob['track'] | null {
  const front = settings.groupInFront.figure;
  if (front === 'turn' || front === 'size') return front;
  const { width, height } = Dimensions.get('window');
  const isOpen = layoutOf(width, height) === 'wide' && (settings.groupsOpen['figure turn'] ?? true);
  return isOpen ? 'turn' : null;
}

/** The knob of the group that is in front in the Figure step, *Turn* or *Size*; null while there is none. */
export function figureKnobIn(state: RootState): FigureKnob | null {
  const track = knobTrack(state);
  if (track === null || editsIn(state) !== 'poses') return null;
  if (state.editor.tool !== 'shape' || isPlaying()) return null;
  const travel = activeTravelIn(state);
  if (!travel || travel.arc.hidden || travel.arc.locked) return null;
  const frame = Math.min(currentFrame(), travel.x.length);
  const i = travel.shown[frame - 1]! - 1;
  const pivot = { x: travel.x[i]!, y: travel.y[i]! };
  const { across, down } = scaleOn(travel, i);
  const radius = travel.figure.height * Math.max(Math.abs(across), down) * AWAY;
  return {
    track,
    pivot,
    frame,
    at: onCircle(pivot, radius, track === 'turn' ? travel.heading[i]! : CORNER_DEG),
    moveId: travel.move.id,
    value: travel.tracks[track][frame - 1]!,
  };
}
