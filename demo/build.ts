/**
 * Writes the demo film "Low Tide" as open shot files. Run `npx tsx demo/build.ts` after a change here.
 * The artwork are the stand-ins of the core, drawn for this project.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  type Easing,
  edits,
  freshShot,
  type Mark,
  openShot,
  type PointShape,
  type Shot,
  smoothThrough,
  writeShotFile,
} from '../core/src/index';

const FOLDER = join(dirname(fileURLToPath(import.meta.url)), 'shots');
const RADIANS = Math.PI / 180;

const soft = (leaveFrames: number, arriveFrames: number): Easing => ({
  kind: 'ramped',
  leaveFrames,
  arriveFrames,
  ramp: 'soft',
});
const steady = (leaveFrames: number, arriveFrames: number): Easing => ({
  kind: 'ramped',
  leaveFrames,
  arriveFrames,
  ramp: 'steady',
});
const even: Easing = { kind: 'even' };

const marksOf = (...marks: [frame: number, fraction: number, easing?: Easing][]): Mark[] =>
  marks.map(([frame, fraction, easing = even], i) => ({
    id: `m${i + 1}`,
    frame,
    fraction,
    kind: 'stop',
    easing,
  }));

const withMarks = (shot: Shot, marks: Mark[]): Shot => ({
  ...shot,
  moves: shot.moves.map((move) => ({ ...move, marks })),
});

/** Part of a circle about a hanging point, from one angle to another; 0° hangs straight down, right is positive. */
function swing(hang: { x: number; y: number }, length: number, fromDeg: number, toDeg: number): PointShape[] {
  const parts = 4;
  const step = ((toDeg - fromDeg) / parts) * RADIANS;
  const handle = length * (4 / 3) * Math.tan(step / 4);
  return Array.from({ length: parts + 1 }, (_, i): PointShape => {
    const angle = fromDeg * RADIANS + i * step;
    const along = { x: Math.cos(angle) * handle, y: -Math.sin(angle) * handle };
    return {
      x: hang.x + length * Math.sin(angle),
      y: hang.y + length * Math.cos(angle),
      in: { x: -along.x, y: -along.y },
      out: along,
      kind: 'smooth',
    };
  });
}

function lantern(): Shot {
  const empty = freshShot({
    name: 'Lantern on the hook',
    film: 'Low Tide',
    rate: 24,
    lengthFrames: 48,
    width: 1920,
    height: 1080,
  });
  const drawn = edits.drawArc(empty, { points: swing({ x: 960, y: -40 }, 640, -48, 48) });
  const dressed = edits.setFigure(drawn, {
    figureId: 'figure1',
    name: 'Lantern',
    standIn: 'lantern',
    height: 300,
  });
  return withMarks(
    dressed,
    marksOf(
      [1, 0, soft(6, 6)],
      [13, 0.92, soft(6, 6)],
      [25, 0.18, soft(6, 6)],
      [37, 0.7, soft(5, 6)],
      [48, 0.5],
    ),
  );
}

function harbourMaster(): Shot {
  const empty = freshShot({
    name: 'Rounds of the harbour master',
    film: 'Low Tide',
    rate: 12,
    lengthFrames: 57,
    width: 1920,
    height: 1080,
  });
  const quay = [
    { x: 150, y: 760 },
    { x: 620, y: 640 },
    { x: 1130, y: 800 },
    { x: 1740, y: 560 },
  ];
  const drawn = edits.drawArc(empty, { points: smoothThrough(quay) });
  const dressed = edits.setFigure(drawn, {
    figureId: 'figure1',
    name: 'Harbour master',
    standIn: 'harbour-master',
    height: 260,
  });
  const upright = edits.setTurning(dressed, { moveId: 'move1', turnsWithArc: false });
  const measured = edits.setSheet(edits.setScale(upright, { unitsPerMm: 8 }), {
    units: 'mm',
    rulerStep: 0.5,
  });
  return withMarks(
    measured,
    marksOf(
      [1, 0, steady(6, 5)],
      [17, 0.31, even],
      [21, 0.31, steady(4, 6)],
      [35, 0.63, even],
      [39, 0.63, steady(5, 7)],
      [55, 1],
    ),
  );
}

mkdirSync(FOLDER, { recursive: true });
for (const [file, shot] of [
  ['lantern-on-the-hook', lantern()],
  ['rounds-of-the-harbour-master', harbourMaster()],
] as const)
  writeFileSync(join(FOLDER, `${file}.json`), writeShotFile(openShot(shot)));
