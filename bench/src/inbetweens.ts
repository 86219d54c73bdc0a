import { edits, evaluate, freshShot, type Shot, smoothThrough } from '@humble/core';
import { betweenOn } from '@humble/core/views';

const SIDE = 400;
const RINGS = 4;
const RING_POINTS = 48;
const PINS = 20;
const FRAMES = 202;
/** In-betweens between the two keys at the ends of the shot. */
export const IN_BETWEENS = FRAMES - 2;

/** Rings side by side, waved round their circles: more points than the eye needs. */
const outlineOf = (wave: number, turn: number): number[][] =>
  Array.from({ length: RINGS }, (_, ring) =>
    Array.from({ length: RING_POINTS }, (_, k) => {
      const angle = (2 * Math.PI * k) / RING_POINTS;
      const r = (ring === 0 ? 90 : 24) * (1 + wave * Math.cos(5 * angle + ring));
      const [x, y] = [
        [110, 200],
        [250, 90],
        [300, 200],
        [250, 310],
      ][ring]!;
      return [x! + r * Math.cos(angle + turn), y! + r * Math.sin(angle + turn)];
    }).flat(),
  );

/** A figure of two drawings of four rings with twenty pins, drawn through over two hundred frames. */
export function drawnThroughShot(): Shot {
  const empty = freshShot({ name: 'Through', rate: 24, lengthFrames: FRAMES, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, {
    points: smoothThrough([
      { x: 200, y: 500 },
      { x: 1700, y: 500 },
    ]),
  });
  const drawings = [outlineOf(0.1, 0), outlineOf(0.2, 0.4)].map((outline, i) => ({
    sha256: String(i + 1).repeat(64),
    type: 'image/png' as const,
    name: `drawing ${i + 1}.png`,
    width: SIDE,
    height: SIDE,
    outline,
    frames: 1,
    planted: null,
  }));
  const pictured = edits.setArtwork(drawn, { figureId: 'figure1', artwork: { kind: 'pictures', drawings } });
  const through = edits.drawThrough(pictured, {
    moveId: 'move1',
    from: 1,
    until: FRAMES,
    first: 1,
    second: 2,
    chart: null,
  });
  const pins = Array.from({ length: PINS }, (_, i) => {
    const k = Math.floor((i * RING_POINTS) / PINS);
    const at = (ring: readonly number[]) => ({ x: ring[2 * k]!, y: ring[2 * k + 1]! });
    return {
      id: `pin${i + 1}`,
      first: at(drawings[0]!.outline[0]!),
      second: at(drawings[1]!.outline[0]!),
      followsFrames: i % 4,
      bow: null,
    };
  });
  return {
    ...through,
    figures: through.figures.map((figure) => ({ ...figure, drawingPairs: [{ first: 1, second: 2, pins }] })),
  };
}

/** Every in-between of the shot, worked out from nothing: how many points they have. */
export function allInBetweens(shot: Shot): number {
  const forgotten: Shot = {
    ...shot,
    figures: shot.figures.map((figure) => ({ ...figure })),
    moves: shot.moves.map((move) => ({ ...move })),
  };
  const travel = evaluate(forgotten).travels[0]!;
  let points = 0;
  for (let frame = 2; frame < FRAMES; frame++)
    points += betweenOn(travel, frame)!.rings.reduce((sum, ring) => sum + ring.length / 2, 0);
  return points;
}
