import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import type { Easing } from '../../model/schema';
import { bounce } from './bounce';
import { curve } from './curve';
import type { EasingDefinition } from './easingDefinition';
import { even } from './even';
import { flow } from './flow';
import { ramped } from './ramped';
import { settle } from './settle';
import { slowPlace } from './slowPlace';
import { snap } from './snap';
import { ticks } from './ticks';
import { windUp } from './windUp';

/** The table of easings, the simpler ones first: of two that come as near to a chart the first is proposed. */
const definitions = [even, snap, ramped, slowPlace, settle, bounce, windUp, curve, flow, ticks] as const;

type SchemasOf<Definitions extends readonly { readonly schema: (z: Zod) => z.ZodObject }[]> = {
  -readonly [Index in keyof Definitions]: ReturnType<Definitions[Index]['schema']>;
};

/** How a span travels from its mark to the next; what is counted in frames is so that it can be typed. */
export const easingUnion = (z: Zod) =>
  z.discriminatedUnion(
    'kind',
    definitions.map(({ schema }) => schema(z)) as unknown as SchemasOf<typeof definitions>,
  );

export type AnyEasingDefinition = EasingDefinition<z.ZodObject, Easing>;

export const EASINGS = definitions as unknown as readonly AnyEasingDefinition[];

const byKind = new Map(EASINGS.map((definition) => [definition.kind, definition]));

export const easingDefinition = (kind: Easing['kind']): AnyEasingDefinition => byKind.get(kind)!;
