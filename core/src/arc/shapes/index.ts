import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import type { ReadyShape } from '../../model/schema';
import { bounces } from './bounces';
import { eight } from './eight';
import { ellipse } from './ellipse';
import { line } from './line';
import { roundedBox } from './roundedBox';
import type { ShapeDefinition } from './shapeDefinition';
import { spiral } from './spiral';
import { swing } from './swing';
import { threePlaces } from './threePlaces';
import { toss } from './toss';
import { wave } from './wave';

const definitions = [
  line,
  threePlaces,
  ellipse,
  roundedBox,
  swing,
  toss,
  bounces,
  wave,
  eight,
  spiral,
] as const;

type Definitions = typeof definitions;
type SchemasOf<Each extends readonly { readonly schema: (z: Zod) => z.ZodObject }[]> = {
  -readonly [Index in keyof Each]: ReturnType<Each[Index]['schema']>;
};

/**
 * Shapes that keep what made them until a point of theirs is moved. Sizes in field units, angles in degrees,
 * positive clockwise as seen unless it says otherwise.
 */
export const readyShapeUnion = (z: Zod) =>
  z.discriminatedUnion(
    'kind',
    definitions.map(({ schema }) => schema(z)) as unknown as SchemasOf<Definitions>,
  );

export type FreshShapeName = NamesOf<Definitions[number]>;
type NamesOf<Definition> = Definition extends { readonly fresh: infer Fresh } ? keyof Fresh & string : never;

export type AnyShapeDefinition = ShapeDefinition<z.ZodObject, FreshShapeName, ReadyShape>;

export const SHAPES = definitions as unknown as readonly AnyShapeDefinition[];

const byKind = new Map(SHAPES.map((definition) => [definition.kind, definition]));

export const shapeDefinition = (kind: ReadyShape['kind']): AnyShapeDefinition => byKind.get(kind)!;
