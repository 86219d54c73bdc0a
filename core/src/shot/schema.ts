import { z } from 'zod';
import { backdropSchema } from './backdropSchema';
import { coordinate, FURTHEST, readyShapeSchema, vectorSchema } from './readyShapeSchema';

/** Name of the open format, in every file. */
export const SHOT_FORMAT = 'humble-pendulum-shot';
/** Version written by this release; older ones are migrated when they are read. */
export const SHOT_VERSION = 2;

export const LONGEST_SHOT = 20_000;
export const LONGEST_NAME = 120;

const id = z.string().min(1).max(64);
const name = z.string().trim().min(1, 'a name is needed').max(LONGEST_NAME);
const frame = z.number().int().min(1).max(LONGEST_SHOT);
const degrees = z.number().min(-36_000).max(36_000);

const setting = z.number().min(-1).max(1);

/** How a point rounds itself off by its neighbours (Kochanek and Bartels 1984); all 0 is plain and smooth. */
export const shapingSchema = z.object({ tighten: setting, sharpen: setting, lean: setting });

/** What shapes an arc. Handles are displacements from the point. A point has no time. */
export const arcPointSchema = z.object({
  id,
  x: coordinate,
  y: coordinate,
  in: vectorSchema,
  out: vectorSchema,
  kind: z.enum(['smooth', 'even', 'corner']),
  shaping: shapingSchema.nullable(),
});

/** Colours that arcs are told apart by; the interface has a tone of each for both themes. */
export const arcColours = ['indigo', 'moss', 'plum', 'teal', 'graphite'] as const;

export const arcSchema = z.object({
  id,
  name,
  closed: z.boolean(),
  points: z.array(arcPointSchema).min(2).max(5_000),
  /** What made the points, until one of them is moved by hand. */
  shape: readyShapeSchema.nullable(),
  colour: z.enum(arcColours),
  hidden: z.boolean(),
  locked: z.boolean(),
});

export const standInNames = ['peg', 'disc', 'lantern', 'harbour-master'] as const;

/** What moves. */
export const figureSchema = z.object({
  id,
  name,
  artwork: z.object({ kind: z.literal('stand-in'), standIn: z.enum(standInNames) }),
  /** Height in the field, field units. */
  height: z.number().min(1).max(FURTHEST),
});

const unit = z.number().min(0).max(1);
const beyond = z.number().min(-4).max(4);

/** How a span travels from its mark to the next; lengths of leaving and arriving in frames. */
export const easingSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('even') }),
  z.object({
    kind: z.literal('ramped'),
    leaveFrames: z.number().min(0).max(LONGEST_SHOT),
    arriveFrames: z.number().min(0).max(LONGEST_SHOT),
    ramp: z.enum(['steady', 'soft']),
  }),
  /** A cubic in the unit square of time and way; y may leave it: anticipation, overshoot. */
  z.object({ kind: z.literal('curve'), x1: unit, y1: beyond, x2: unit, y2: beyond }),
  /** Through its marks without a jump of speed at a pass and without overshoot. */
  z.object({ kind: z.literal('flow') }),
  /** Slowest at a share of the way. */
  z.object({ kind: z.literal('slow-place'), at: unit, strength: z.number().min(0).max(0.99) }),
  /** A swing past the target that dies on it. */
  z.object({
    kind: z.literal('settle'),
    overshoot: z.number().min(0.01).max(0.9),
    swings: z.number().int().min(1).max(20),
  }),
  /** Falls onto the target and bounces. */
  z.object({
    kind: z.literal('bounce'),
    count: z.number().int().min(0).max(20),
    restitution: z.number().min(0.05).max(0.95),
  }),
  /** Stays, and jumps with the next mark. */
  z.object({ kind: z.literal('snap') }),
  /** An explicit chart: a share of the way at the end of each of so many equal intervals. */
  z.object({ kind: z.literal('ticks'), fractions: z.array(beyond).min(1).max(LONGEST_SHOT) }),
]);

/** A promise in time: on this frame, be at this place. `easing` belongs to the span that starts here. */
export const markSchema = z.object({
  id,
  frame,
  /** Share of the arc's length; laps of a closed arc go on past 1. */
  fraction: z.number().min(-1_000).max(1_000),
  kind: z.enum(['stop', 'pass']),
  easing: easingSchema,
});

/** What a move holds on to when its arc changes shape: shares of the length, distances, or spots in the field. */
export const keepsSchema = z.enum(['fractions', 'distances', 'spots']);

export const exposureSchema = z.union([z.literal(1), z.literal(2), z.literal(3)]);

export const moveSchema = z.object({
  id,
  figureId: id,
  arcId: id,
  marks: z.array(markSchema).min(2).max(5_000),
  /** How many frames one drawing or placement is held, from the move's first frame on. */
  framesHeld: exposureSchema,
  turnsWithArc: z.boolean(),
  correctionDeg: degrees,
  keeps: keepsSchema,
});

export const fieldSchema = z.object({
  width: z.number().min(16).max(20_000),
  height: z.number().min(16).max(20_000),
  /** Field units per millimetre on the set or the desk; null until it is known. */
  unitsPerMm: z.number().min(1e-4).max(1e5).nullable(),
});

export const sheetSchema = z.object({
  units: z.enum(['field', 'mm']),
  /** Step of the ruler in the sheet's units; null leaves increments as they are. */
  rulerStep: z.number().min(1e-3).max(1e4).nullable(),
});

export const rateSchema = z.number().min(1).max(240);
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
  figures: z.array(figureSchema).max(200),
  arcs: z.array(arcSchema).max(200),
  moves: z.array(moveSchema).max(200),
  sheet: sheetSchema,
  backdrop: backdropSchema.nullable(),
});

/** The only definition of a shot. Beyond the shape of the data it asks that its parts fit together. */
export const shotSchema = unchecked.superRefine((shot, context) => {
  const complain = (path: PropertyKey[], message: string): void =>
    context.addIssue({ code: 'custom', path, message });
  const ids = [
    ...shot.figures,
    ...shot.arcs,
    ...shot.arcs.flatMap((arc) => arc.points.map((p) => ({ id: `${arc.id}/${p.id}` }))),
    ...shot.moves,
    ...shot.moves.flatMap((move) => move.marks.map((m) => ({ id: `${move.id}/${m.id}` }))),
  ].map((part) => part.id);
  if (new Set(ids).size < ids.length) complain([], 'two parts have the same id');
  shot.moves.forEach((move, i) => {
    if (!shot.figures.some((figure) => figure.id === move.figureId))
      complain(['moves', i, 'figureId'], `there is no figure ${move.figureId}`);
    if (!shot.arcs.some((arc) => arc.id === move.arcId))
      complain(['moves', i, 'arcId'], `there is no arc ${move.arcId}`);
    move.marks.forEach((mark, j) => {
      const before = move.marks[j - 1];
      if (before && mark.frame <= before.frame)
        complain(['moves', i, 'marks', j, 'frame'], 'marks must follow each other in time');
      if (mark.frame > shot.lengthFrames)
        complain(['moves', i, 'marks', j, 'frame'], 'a mark lies after the last frame of the shot');
    });
  });
  if (shot.sheet.units === 'mm' && shot.field.unitsPerMm === null)
    complain(['sheet', 'units'], 'millimetres need a scale');
});

type Immutable<T> = T extends (infer Item)[]
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
export type Move = Shot['moves'][number];
export type Mark = Move['marks'][number];
export type Easing = Mark['easing'];
export type EasingKind = Easing['kind'];
export type FramesHeld = Move['framesHeld'];
export type Field = Shot['field'];
export type Sheet = Shot['sheet'];
export type StandInName = (typeof standInNames)[number];
