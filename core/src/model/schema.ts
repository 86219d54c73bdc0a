import { z } from 'zod';
import { arcSchema } from './arcSchema';
import { backdropSchema, planesSchema } from './backdropSchema';
import { figureSchema } from './figureSchema';
import { gestureSchema } from './gestureSchema';
import { partName } from './ids';
import {
  FIELD_SIDE,
  lastFrameFor,
  MAX_NAME_LENGTH,
  MAX_SHOT_FRAMES,
  MAX_CUES,
  MAX_GESTURES,
  MAX_NOTES,
  MAX_PARTS,
  MAX_TAKES,
  RATE,
} from './limits';
import { type Complain, complainOfOrder } from './moveOrder';
import { complainOfIds } from './uniqueIds';
import { moveSchema, waitingSchema } from './moveSchema';
import { type standInNames } from './names';
import { noteSchema } from './noteSchema';
import { cueSchema, soundSchema } from './soundSchema';
import { shootSchema } from './shootSchema';
import { takeSchema } from './takeSchema';
import { thresholdsSchema } from './thresholdsSchema';
import { SHOT_FORMAT, SHOT_VERSION } from './version';
import type { TrackName } from '../timing/tracks';
import { lineSchema } from './plainText';

export * from './gestureSchema';
export * from './timingSchema';

export const fieldSchema = z.object({
  width: z.number().min(FIELD_SIDE.min).max(FIELD_SIDE.max),
  height: z.number().min(FIELD_SIDE.min).max(FIELD_SIDE.max),
  /** Field units per millimetre on the set or the desk; null until it is known. */
  unitsPerMm: z.number().min(1e-4).max(1e5).nullable(),
});

export const sheetSchema = z.object({
  units: z.enum(['field', 'mm']),
  /** Step of the ruler in the sheet's units; null leaves increments as they are. */
  rulerStep: z.number().min(1e-3).max(1e4).nullable(),
  /** Drawings that are drawn through are numbered by their frames, or in order. */
  numbering: z.enum(['frame', 'order']).default('frame'),
});

export const rateSchema = z.number().min(RATE.min).max(RATE.max);
export const lengthSchema = z.number().int().min(2).max(MAX_SHOT_FRAMES);

const unchecked = z.object({
  format: z.literal(SHOT_FORMAT),
  version: z.literal(SHOT_VERSION),
  name: partName(z),
  /** The film the shot belongs to; empty when it stands alone. */
  film: lineSchema(z).max(MAX_NAME_LENGTH),
  rate: rateSchema,
  lengthFrames: lengthSchema,
  field: fieldSchema,
  figures: z.array(figureSchema).max(MAX_PARTS),
  arcs: z.array(arcSchema).max(MAX_PARTS),
  moves: z.array(moveSchema).max(MAX_PARTS),
  waiting: z.array(waitingSchema).max(MAX_PARTS),
  /** Gestures as they were recorded, those that no move uses included. */
  gestures: z.array(gestureSchema).max(MAX_GESTURES),
  sheet: sheetSchema,
  backdrop: backdropSchema.nullable(),
  /** Further pictures in depth; those that are listed later lie in front where they are as far away. */
  planes: planesSchema,
  /** Alternative timings of the same arcs, in the order in which they are listed; one of them is current. */
  takes: z.array(takeSchema).min(1).max(MAX_TAKES),
  notes: z.array(noteSchema).max(MAX_NOTES),
  /** What is heard, in order of time. */
  cues: z.array(cueSchema).max(MAX_CUES),
  sound: soundSchema.nullable(),
  thresholds: thresholdsSchema,
  shoot: shootSchema,
});

/** The only definition of a shot. Beyond the shape of the data it asks that its parts fit together. */
export const shotSchema = unchecked.superRefine((shot, context) => {
  const complain: Complain = (path, message) => context.addIssue({ code: 'custom', path, message });
  const waitingMoves = shot.waiting.flatMap(({ move }) => (move ? [move] : []));
  const allMoves = [...shot.moves, ...waitingMoves];
  complainOfIds(shot, complain);
  const figureIds = new Set(shot.figures.map((figure) => figure.id));
  const riding = new Set(shot.moves.map(({ figureId }) => figureId));
  const arcs = new Map(shot.arcs.map((arc) => [arc.id, arc]));
  const pointIds = new Map(shot.arcs.map((arc) => [arc.id, new Set(arc.points.map((point) => point.id))]));
  shot.moves.forEach((move, i) => {
    const arc = arcs.get(move.arcId);
    if (!figureIds.has(move.figureId))
      complain(['moves', i, 'figureId'], `there is no figure ${move.figureId}`);
    if (!arc) complain(['moves', i, 'arcId'], `there is no arc ${move.arcId}`);
    if (move.acted && !shot.gestures.some((gesture) => gesture.id === move.acted!.gestureId))
      complain(['moves', i, 'acted'], `there is no gesture ${move.acted.gestureId}`);
    const last = lastFrameFor(shot.lengthFrames, arc?.closed ?? false);
    move.marks.forEach((mark, j) => {
      if (mark.frame > last)
        complain(['moves', i, 'marks', j, 'frame'], 'a mark lies after the last frame of the shot');
      if (mark.pointId !== null && !pointIds.get(move.arcId)?.has(mark.pointId))
        complain(['moves', i, 'marks', j, 'pointId'], `there is no point ${mark.pointId} on the arc`);
    });
    move.riders.forEach(({ arcId }, j) => {
      if (arcId !== null && !arcs.has(arcId))
        complain(['moves', i, 'riders', j, 'arcId'], `there is no arc ${arcId}`);
    });
    complainOfOrder(move, ['moves', i], complain);
  });
  if (shot.figures.filter(({ artwork }) => artwork.kind === 'camera').length > 1)
    complain(['figures'], 'a shot has one camera');
  for (const [i, { riders }] of allMoves.entries())
    if (riders.some(({ artwork }) => artwork.kind === 'camera'))
      complain(['moves', i, 'riders'], 'a camera is no part of a figure');
  shot.waiting.forEach(({ figureId, move }, i) => {
    if (!figureIds.has(figureId)) complain(['waiting', i, 'figureId'], `there is no figure ${figureId}`);
    if (riding.has(figureId)) complain(['waiting', i, 'figureId'], 'a figure that waits rides no arc');
    riding.add(figureId);
    if (move && move.figureId !== figureId)
      complain(['waiting', i, 'move', 'figureId'], 'a move waits with its own figure');
    if (move) complainOfOrder(move, ['waiting', i, 'move'], complain);
  });
  if (shot.takes.filter(({ kept }) => kept === null).length !== 1)
    complain(['takes'], 'one take is the current one');
  const moveIds = new Set(allMoves.map((move) => move.id));
  shot.takes.forEach(({ kept }, i) =>
    kept?.timings.forEach((timing, j) => {
      const path = ['takes', i, 'kept', 'timings', j];
      if (!moveIds.has(timing.moveId)) complain([...path, 'moveId'], `there is no move ${timing.moveId}`);
      if (timing.acted && !shot.gestures.some(({ id }) => id === timing.acted!.gestureId))
        complain([...path, 'acted'], `there is no gesture ${timing.acted.gestureId}`);
      complainOfOrder(timing, path, complain);
    }),
  );
  const allNotes = [...shot.notes, ...shot.takes.flatMap(({ kept }) => kept?.notes ?? [])];
  if (allNotes.some(({ figureId }) => figureId !== null && !figureIds.has(figureId)))
    complain(['notes'], 'a note is about a figure that is not there');
  const takeIds = new Set(shot.takes.map(({ id }) => id));
  shot.shoot.pictures.forEach(({ takeId, actuals }, i) => {
    const path = ['shoot', 'pictures', i];
    if (!takeIds.has(takeId)) complain([...path, 'takeId'], `there is no take ${takeId}`);
    const unknown = actuals.find(({ moveId }) => !moveIds.has(moveId));
    if (unknown) complain([...path, 'actuals'], `there is no move ${unknown.moveId}`);
    if (new Set(actuals.map(({ moveId }) => moveId)).size < actuals.length)
      complain([...path, 'actuals'], 'a figure stands in one place');
  });
  shot.cues.forEach(({ seconds }, i) => {
    if (i > 0 && seconds < shot.cues[i - 1]!.seconds)
      complain(['cues', i, 'seconds'], 'cues must follow each other in time');
  });
  if (shot.sheet.units === 'mm' && shot.field.unitsPerMm === null)
    complain(['sheet', 'units'], 'millimetres need a scale');
});

/** The same, never to be changed. */
export type Immutable<T> = T extends (infer Item)[]
  ? readonly Immutable<Item>[]
  : T extends object
    ? { readonly [K in keyof T]: Immutable<T[K]> }
    : T;

export type Shot = Immutable<z.infer<typeof unchecked>>;
export type Arc = Shot['arcs'][number];
export type ArcPoint = Arc['points'][number];
export type Shaping = NonNullable<ArcPoint['shaping']>;
export type PointKind = ArcPoint['kind'];
export type ReadyShape = NonNullable<Arc['shape']>;
export type ShapeKind = ReadyShape['kind'];
export type ArcColour = Arc['colour'];
export type Backdrop = NonNullable<Shot['backdrop']>;
export type Plane = Shot['planes'][number];
export type Shake = Move['shakes'][number];
export type Picture = Backdrop['pictures'][number];
export type Keeps = Move['keeps'];
export type Figure = Shot['figures'][number];
export type Artwork = Figure['artwork'];
export type DrawingPicture = Extract<Artwork, { kind: 'pictures' }>['drawings'][number];
export type DrawingPair = Figure['drawingPairs'][number];
export type Pin = DrawingPair['pins'][number];
export type FollowedSpot = Figure['followedSpots'][number];
export type ShownDrawing = Move['drawings'][number];
export type Outline = DrawingPicture['outline'];
export type Waiting = Shot['waiting'][number];
export type Move = Shot['moves'][number];
export type Rider = Move['riders'][number];
export type Cycle = NonNullable<Move['cycle']>;
export type Gesture = Shot['gestures'][number];
export type Acted = NonNullable<Move['acted']>;
export type Mark = Move['marks'][number];
export type Key = Move['tracks'][TrackName][number];
export type { TrackName };
export type Easing = Mark['easing'];
export type EasingKind = Easing['kind'];
export type EasingOf<Kind extends EasingKind> = Extract<Easing, { kind: Kind }>;
export type FramesHeld = Move['framesHeld'];
export type ExposureRange = Move['exposures'][number];
export type Skip = Move['skips'][number];
export type Override = Move['overrides'][number];
export type Outside = Move['before'];
export type Field = Shot['field'];
export type Sheet = Shot['sheet'];
export type Take = Shot['takes'][number];
export type KeptTake = NonNullable<Take['kept']>;
export type TakenTiming = KeptTake['timings'][number];
export type Note = Shot['notes'][number];
export type Cue = Shot['cues'][number];
export type Sound = NonNullable<Shot['sound']>;
export type Shoot = Shot['shoot'];
export type Taken = Shoot['pictures'][number];
export type Actual = Taken['actuals'][number];
export type Perspective = NonNullable<Shoot['perspective']>;
export type Thresholds = Shot['thresholds'];
export type Physics = NonNullable<Move['physics']>;
export type StandInName = (typeof standInNames)[number];
