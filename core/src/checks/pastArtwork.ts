import type { Backdrop, Shot } from '../model/schema';
import { cameraOn, coveredOn, isCamera } from '../motion/cameraView';
import { planesOf } from '../motion/scene';
import type { Check, CheckedTravel, Finding } from './check';

/** Past an edge by less than this share of the frame is a rounding of numbers. */
const NOTHING = 1e-6;

type Edge = 'left' | 'right' | 'upper' | 'lower';

/** The edges of a plane that the camera sees past on a frame. */
function edgesPast(shot: Shot, plane: Backdrop, frame: number): readonly Edge[] {
  const camera = cameraOn(shot, frame);
  if (!camera) return [];
  const { x, y, width, turnDeg } = coveredOn(camera, shot.field, plane.distance);
  const height = (width * shot.field.height) / shot.field.width;
  // Seen from the plane: the corners of the frame, turned by as much as both differ.
  const angle = ((turnDeg - plane.turnDeg) * Math.PI) / 180;
  const [cos, sin] = [Math.abs(Math.cos(angle)), Math.abs(Math.sin(angle))];
  const reachX = (cos * width + sin * height) / 2;
  const reachY = (sin * width + cos * height) / 2;
  const back = (-plane.turnDeg * Math.PI) / 180;
  const [dx, dy] = [x - plane.x, y - plane.y];
  const [u, v] = [Math.cos(back) * dx - Math.sin(back) * dy, Math.sin(back) * dx + Math.cos(back) * dy];
  const picture = plane.pictures[0]!;
  const halfWidth = plane.width / 2;
  const halfHeight = (plane.width * picture.height) / picture.width / 2;
  const past: Readonly<Record<Edge, number>> = {
    left: -halfWidth - (u - reachX),
    right: u + reachX - halfWidth,
    upper: -halfHeight - (v - reachY),
    lower: v + reachY - halfHeight,
  };
  return (Object.keys(past) as Edge[]).filter((edge) => past[edge] > NOTHING * width);
}

/** The camera sees past the artwork: which plane, which edge, and from when to when. Planes in front may leave room. */
export const pastArtwork: Check<CheckedTravel> = {
  gravity: 'mistake',
  find: ({ shot, travel, frameNumber }) => {
    if (!isCamera(travel.figure)) return [];
    const planes = planesOf(shot);
    // Only what lies at the back has to fill the picture.
    const furthest = planes[0];
    if (!furthest) return [];
    const frames = [...new Set(travel.shown)];
    const found = new Map<Edge, { from: number; until: number }>();
    for (const frame of frames)
      for (const edge of edgesPast(shot, furthest, frame)) {
        const known = found.get(edge);
        if (known) known.until = frame;
        else found.set(edge, { from: frame, until: frame });
      }
    return [...found].map(([edge, { from, until }]): Finding => ({
      from,
      until,
      sentence: `From frame ${frameNumber(from)} to ${frameNumber(until)} the camera sees past the ${edge} edge of the artwork.`,
      fix: null,
    }));
  },
};
