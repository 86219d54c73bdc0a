import { z } from 'zod';
import { artworkSchema } from './artworkSchema';
import { backdropSchema } from './backdropSchema';
import { actedSchema, gestureSchema } from './gestureSchema';
import { id } from './ids';
import { readyShapeUnion } from '../arc/shapes';
import { coordinate, vectorSchema } from './coordinates';
import {
  FIELD_SIDE,
  FURTHEST_TURN,
  LONGEST_NAME,
  LONGEST_SEQUENCE,
  LONGEST_SHOT,
  MOST_MARKS,
  FURTHEST_PIVOT,
  MOST_PARTS,
  MOST_RIDERS,
  MOST_SMOOTH_FRAMES,
  MOST_POINTS,
  RATE,
  FURTHEST,
  lastFrameFor,
  MOST_GESTURES,
} from './limits';
import { arcColours, type standInNames } from './names';
import { SHOT_FORMAT, SHOT_VERSION } from './version';
import { type Complain, complainOfOrder } from './moveOrder';
import { timingSchema } from './timingSchema';
import { type TrackName, TRACKS, tracksSchema } from '../timing/tracks';

export * from './gestureSchema';
export * from './timingSchema';

const name = z.string().trim().min(1, 'a name is needed').max(LONGEST_NAME);
const degrees = z.number().min(-FURTHEST_TURN).max(FURTHEST_TURN);

const setting = z.number().min(-1).max(1);

/** How a point rounds itself off by its neighbours (Kochanek and Bartels 1984); all 0 is plain and smooth. */
export const shapingSchema = z.object({ tighten: setting, sharpen: setting, lean: setting });

/** What shapes an arc. Handles are displacements from the point. A point has no time. */
export const arcPointSchema = z.object({
  id: id(z),
  x: coordinate(z),
  y: coordinate(z),
  in: vectorSchema(z),
  out: vectorSchema(z),
  kind: z.enum(['smooth', 'even', 'corner']),
  shaping: shapingSchema.nullable(),
});

export const arcSchema = z.object({
  id: id(z),
  name,
  closed: z.boolean(),
  points: z.array(arcPointSchema).min(2).max(MOST_POINTS),
  /** What made the points, until one of them is moved by hand. */
  shape: readyShapeUnion(z).nullable(),
  colour: z.enum(arcColours),
  hidden: z.boolean(),
  locked: z.boolean(),
});

/** What moves. */
export const figureSchema = z.object({
  id: id(z),
  name,
  artwork: artworkSchema,
  /** Height in the field, field units. */
  height: z.number().min(1).max(FURTHEST),
  /** Its real height; where the field has a scale it is as high as that. Null for none. */
  heightMm: z.number().min(0.01).max(1e6).nullable(),
  /** The spot that sits on the arc, in the artwork's own units; null for the artwork's own. */
  pivot: z
    .object({
      x: z.number().min(-FURTHEST_PIVOT).max(FURTHEST_PIVOT),
      y: z.number().min(-FURTHEST_PIVOT).max(FURTHEST_PIVOT),
    })
    .nullable(),
  /** Which way it looks in its artwork, degrees clockwise as seen; 0 is to the right. */
  frontDeg: degrees,
  hidden: z.boolean(),
  /** Whether hands and menus let it be. */
  locked: z.boolean(),
});

/** What a move holds on to when its arc changes shape: shares of the length, distances, or spots in the field. */
export const keepsSchema = z.enum(['fractions', 'distances', 'spots']);

const frameNumber = z
  .number()
  .int()
  .min(1)
  .max(LONGEST_SHOT + 1);

/** Drawings that are repeated while the figure travels. */
export const cycleSchema = z
  .object({
    /** It goes on with every frame, or with the distance travelled. */
    by: z.enum(['time', 'way']),
    from: frameNumber,
    /** Its last frame; null for the end of the shot. */
    until: frameNumber.nullable(),
    startDrawing: z.number().int().min(1).max(LONGEST_SEQUENCE),
    /** There and back. */
    swings: z.boolean(),
    /** How far one cycle carries the figure, field units. */
    advance: z.number().min(1e-3).max(FURTHEST),
    before: z.enum(['hold', 'repeat', 'swing', 'hide']),
    after: z.enum(['hold', 'repeat', 'swing', 'hide']),
  })
  .refine(({ from, until }) => until === null || until >= from, 'a cycle ends after it begins');

/** A further part on the arc of a move, or on another one, ahead of its figure or behind it. */
export const riderSchema = figureSchema.extend({
  /** So far ahead of the figure along the arc, or behind it (negative); or where the figure was so many frames before. */
  follows: z.discriminatedUnion('by', [
    z.object({ by: z.literal('distance'), distance: z.number().min(-FURTHEST).max(FURTHEST) }),
    z.object({ by: z.literal('frames'), frames: z.number().int().min(-LONGEST_SHOT).max(LONGEST_SHOT) }),
  ]),
  /** It travels along the arc; or it sits on the figure, and only looks along the arc at its own distance. */
  rides: z.enum(['travels', 'looks']),
  /** A second arc that it travels on; null for that of the figure. */
  arcId: id(z).nullable(),
  /** Where it is on a second arc: at the same share of its length, or at the spot nearest to its place on the first. */
  onSecond: z.enum(['share', 'nearest']),
  /** Past the end of an open arc it stays there, or carries straight on. */
  pastEnds: z.enum(['stay', 'straight']),
  /** Off the arc: forward and right, turned with it; or right and down in the field. Field units. */
  offset: vectorSchema(z),
  offsetIn: z.enum(['field', 'riding']),
  turnsWithArc: z.boolean(),
  correctionDeg: degrees,
  mirrored: z.boolean(),
  /** Of its own height, percent; the figure's size goes for it as well. */
  sizePercent: z.number().min(0.1).max(10_000),
  /** The figure's opacity goes for it as well. */
  opacityPercent: z.number().min(0).max(100),
  /** Its picture is bent along the arc as a strip. */
  bends: z.boolean(),
  /** Whether it lies in front of the figure. */
  inFront: z.boolean(),
});

export const moveSchema = timingSchema.extend({
  id: id(z),
  figureId: id(z),
  arcId: id(z),
  turnsWithArc: z.boolean(),
  correctionDeg: degrees,
  /** Whether the figure is seen in a mirror, so that it looks the other way without standing on its head. */
  mirrored: z.boolean(),
  /** Going back along its arc it keeps facing along it, or faces the way it goes. */
  backwards: z.enum(['keeps', 'faces']),
  /** At a corner of the arc its heading goes over within so many frames, centred on it; 0 snaps. */
  cornerFrames: z.number().int().min(0).max(MOST_SMOOTH_FRAMES),
  /** Its heading is smoothed over so many frames. */
  smoothFrames: z.number().int().min(0).max(MOST_SMOOTH_FRAMES),
  /** How it leans into bends by itself. */
  lean: z.object({
    by: z.enum(['none', 'most', 'physics']),
    mostDeg: z.number().min(-180).max(180),
    smoothFrames: z.number().int().min(0).max(MOST_SMOOTH_FRAMES),
  }),
  /** Whether it is sized down by a track of its own; else by the same as across. */
  sizesApart: z.boolean(),
  /** Whether its offset is right and down in the field, or forward and right, turned with the arc's direction. */
  offsetIn: z.enum(['field', 'riding']),
  /** From which frame on which drawing is shown, counted from 1; empty leaves it to the artwork. */
  drawings: z
    .array(
      z.object({
        frame: frameNumber,
        drawing: z.number().int().min(1).max(LONGEST_SEQUENCE),
      }),
    )
    .max(MOST_MARKS),
  /** Drawings that are repeated; where a frame says its drawing, that goes first. Null for none. */
  cycle: cycleSchema.nullable(),
  /** Further parts that follow the figure, those at the back first. */
  riders: z.array(riderSchema).max(MOST_RIDERS),
  keeps: keepsSchema,
  /** The gesture that it was acted with; null for none. */
  acted: actedSchema.nullable(),
  /** What of the figure changes besides its place: keys of each track. */
  tracks: tracksSchema(z),
});

/** A figure that rides no arc: it stands where it was left, and keeps the timing that it had. */
export const waitingSchema = z.object({
  figureId: id(z),
  /** Where its pivot stands, field units. */
  x: coordinate(z),
  y: coordinate(z),
  turnDeg: degrees,
  /** Its move without an arc; null for one that never had any. */
  move: moveSchema.omit({ arcId: true }).nullable(),
});

export const fieldSchema = z.object({
  width: z.number().min(FIELD_SIDE.least).max(FIELD_SIDE.most),
  height: z.number().min(FIELD_SIDE.least).max(FIELD_SIDE.most),
  /** Field units per millimetre on the set or the desk; null until it is known. */
  unitsPerMm: z.number().min(1e-4).max(1e5).nullable(),
});

export const sheetSchema = z.object({
  units: z.enum(['field', 'mm']),
  /** Step of the ruler in the sheet's units; null leaves increments as they are. */
  rulerStep: z.number().min(1e-3).max(1e4).nullable(),
});

export const rateSchema = z.number().min(RATE.least).max(RATE.most);
export const lengthSchema = z.number().int().min(2).max(LONGEST_SHOT);

const unchecked = z.object({
  format: z.literal(SHOT_FORMAT),
  version: z.literal(SHOT_VERSION),
  name,
  /** The film the shot belongs to; empty when it stands alone. */
  film: z.string().max(LONGEST_NAME),
  /** Frames per second. */
  rate: rateSchema,
  lengthFrames: lengthSchema,
  field: fieldSchema,
  figures: z.array(figureSchema).max(MOST_PARTS),
  arcs: z.array(arcSchema).max(MOST_PARTS),
  moves: z.array(moveSchema).max(MOST_PARTS),
  /** Figures that ride no arc. */
  waiting: z.array(waitingSchema).max(MOST_PARTS),
  /** Gestures as they were recorded, those that no move uses included. */
  gestures: z.array(gestureSchema).max(MOST_GESTURES),
  sheet: sheetSchema,
  backdrop: backdropSchema.nullable(),
});

/** The only definition of a shot. Beyond the shape of the data it asks that its parts fit together. */
export const shotSchema = unchecked.superRefine((shot, context) => {
  const complain: Complain = (path, message) => context.addIssue({ code: 'custom', path, message });
  const waitingMoves = shot.waiting.flatMap(({ move }) => (move ? [move] : []));
  const allMoves = [...shot.moves, ...waitingMoves];
  const ids = [
    ...shot.figures,
    ...shot.arcs,
    ...shot.arcs.flatMap((arc) => arc.points.map((p) => ({ id: `${arc.id}/${p.id}` }))),
    ...allMoves,
    ...shot.gestures,
    ...allMoves.flatMap((move) => move.riders.map((rider) => ({ id: `${move.id}/${rider.id}` }))),
    ...allMoves.flatMap((move) => move.marks.map((m) => ({ id: `${move.id}/${m.id}` }))),
    ...allMoves.flatMap((move) =>
      TRACKS.flatMap(({ name }) => move.tracks[name].map((key) => ({ id: `${move.id}/${name}/${key.id}` }))),
    ),
  ].map((part) => part.id);
  if (new Set(ids).size < ids.length) complain([], 'two parts have the same id');
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
  shot.waiting.forEach(({ figureId, move }, i) => {
    if (!figureIds.has(figureId)) complain(['waiting', i, 'figureId'], `there is no figure ${figureId}`);
    if (riding.has(figureId)) complain(['waiting', i, 'figureId'], 'a figure that waits rides no arc');
    riding.add(figureId);
    if (move && move.figureId !== figureId)
      complain(['waiting', i, 'move', 'figureId'], 'a move waits with its own figure');
    if (move) complainOfOrder(move, ['waiting', i, 'move'], complain);
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
export type Picture = Backdrop['pictures'][number];
export type Keeps = Move['keeps'];
export type Figure = Shot['figures'][number];
export type Artwork = Figure['artwork'];
/** A picture of a figure, with its outline. */
export type DrawingPicture = Extract<Artwork, { kind: 'pictures' }>['drawings'][number];
export type Outline = DrawingPicture['outline'];
export type Waiting = Shot['waiting'][number];
export type Move = Shot['moves'][number];
export type Rider = Move['riders'][number];
export type Cycle = NonNullable<Move['cycle']>;
export type Gesture = Shot['gestures'][number];
export type Acted = NonNullable<Move['acted']>;
export type Mark = Move['marks'][number];
/** A key of a track. */
export type Key = Move['tracks'][TrackName][number];
export type { TrackName };
export type Easing = Mark['easing'];
export type EasingKind = Easing['kind'];
/** The easings of one kind. */
export type EasingOf<Kind extends EasingKind> = Extract<Easing, { kind: Kind }>;
export type FramesHeld = Move['framesHeld'];
export type ExposureRange = Move['exposures'][number];
export type Skip = Move['skips'][number];
export type Override = Move['overrides'][number];
export type Outside = Move['before'];
export type Field = Shot['field'];
export type Sheet = Shot['sheet'];
export type StandInName = (typeof standInNames)[number];
