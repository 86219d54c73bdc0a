import type { Easing, EasingKind, EasingOf } from '@humble/core';
import { bounce } from './bounce';
import { curve } from './curve';
import type { EasingDescriptor } from './easingDescriptor';
import { even } from './even';
import { flow } from './flow';
import { ramped } from './ramped';
import { settle } from './settle';
import { slowPlace } from './slowPlace';
import { snap } from './snap';
import { ticks } from './ticks';
import { windUp } from './windUp';

export type { EasingHandle, EasingNumber, SpanPlace } from './easingDescriptor';

/** The table of easings, in the order in which they are offered. A kind that is missing does not compile. */
const descriptors: { readonly [Kind in EasingKind]: EasingDescriptor<EasingOf<Kind>> } = {
  even,
  ramped,
  curve,
  flow,
  'slow-place': slowPlace,
  'wind-up': windUp,
  settle,
  bounce,
  snap,
  ticks,
};

export const EASING_KINDS = Object.keys(descriptors) as readonly EasingKind[];

export const describeEasing = (kind: EasingKind): EasingDescriptor<Easing> =>
  descriptors[kind] as unknown as EasingDescriptor<Easing>;

export function shortNameOf(easing: Easing): string {
  const { name, shortName } = describeEasing(easing.kind);
  return shortName?.(easing) ?? name;
}

export function easingInWords(easing: Easing): string {
  const { name, inWords } = describeEasing(easing.kind);
  return inWords?.(easing) ?? name;
}
