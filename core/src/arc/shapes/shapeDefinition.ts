import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { coordinate, vectorSchema } from '../../model/coordinates';
import { MAX_COORDINATE, MAX_TURN_DEG } from '../../model/limits';
import type { Cubic } from '../cubic';
import type { Vector } from '../vector';

export interface ShapeHandle<Shape> {
  readonly id: string;
  /** What dragging it does, as the end of “Drag: …”. */
  readonly hint: string;
  readonly at: Vector;
  readonly dragged: (to: Vector) => Shape;
}

/** A map that keeps shapes alike: a turn, one scale and a shift, without a mirror. */
export interface Similarity {
  readonly point: (p: Vector) => Vector;
  /** New lengths over old ones, > 0. */
  readonly factor: number;
  readonly deg: number;
}

export interface ShapeSpace {
  readonly centre: Vector;
  readonly unit: number;
  readonly point: (across: number, down: number) => Vector;
}

/**
 * Everything the core has to know of one kind of ready shape. A new kind is a file with one of these, and a
 * line in the table of shapes.
 */
export interface ShapeDefinition<
  Schema extends z.ZodObject = z.ZodObject,
  Name extends string = string,
  Shape = z.infer<Schema>,
> {
  readonly kind: string;
  readonly schema: (z: Zod) => Schema;
  readonly closed: boolean;
  /** The curves that it is made of, each starting where the one before ends. Closed ones end where they began. */
  readonly cubics: (shape: Shape) => readonly Cubic[];
  /** Which points, counted from 0, are corners; without it those whose handles are not in line. */
  readonly isCorner?: (index: number) => boolean;
  readonly handles: (shape: Shape) => readonly ShapeHandle<Shape>[];
  readonly transformed: (shape: Shape, by: Similarity) => Shape;
  /** Weight pulls down in it: turned, it is no such shape any more. */
  readonly isUpright?: true;
  readonly fresh: Readonly<Record<Name, (space: ShapeSpace) => Shape>>;
}

export const defineShape = <Schema extends z.ZodObject, Name extends string>(
  definition: ShapeDefinition<Schema, Name>,
): ShapeDefinition<Schema, Name> => definition;

export const size = (z: Zod) => z.number().min(0).max(MAX_COORDINATE);
/** An angle in degrees, positive clockwise as seen unless its shape says otherwise. */
export const angle = (z: Zod) => z.number().min(-MAX_TURN_DEG).max(MAX_TURN_DEG);
export const point = vectorSchema;
export { coordinate };

export const shapeSchema = <Kind extends string, Fields extends z.core.$ZodLooseShape>(
  z: Zod,
  kind: Kind,
  fields: Fields,
) => z.object({ kind: z.literal(kind), reversed: z.boolean(), ...fields });
