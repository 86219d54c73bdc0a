import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import type { Cubic } from '../cubic';
import type { Vector } from '../vector';
import { halfThrow } from './curves';
import { defineShape, point, shapeSchema } from './shapeDefinition';

const MIN_RESTITUTION = 0.05;

const schema = (z: Zod) =>
  shapeSchema(z, 'bounces', {
    from: point(z),
    to: point(z),
    count: z.number().int().min(1).max(40),
    /** Speed after a hit over speed before it: each bounce reaches its square of the height. */
    restitution: z.number().min(MIN_RESTITUTION).max(1),
  });

type Bounces = z.infer<ReturnType<typeof schema>>;

/** How long each bounce takes, in times of the first fall. */
const durations = ({ count, restitution }: Bounces): readonly number[] =>
  Array.from({ length: count }, (_, i) => 2 * restitution ** (i + 1));

function acrossAt(shape: Bounces): (time: number) => number {
  const whole = 1 + durations(shape).reduce((sum, time) => sum + time, 0);
  return (time) => shape.from.x + ((shape.to.x - shape.from.x) * time) / whole;
}

const dropOf = ({ from, to }: Bounces): number => Math.max(0, to.y - from.y);

/**
 * A drop and its bounces. Each bounce takes the restitution's share of the time of the one before and reaches
 * its square of the height.
 */
function cubicsOf(shape: Bounces): readonly Cubic[] {
  const { from, to, count, restitution } = shape;
  const across = acrossAt(shape);
  const cubics = [halfThrow(from, { x: across(1), y: to.y })];
  let time = 1;
  durations(shape).forEach((duration, i) => {
    const apex = {
      x: across(time + duration / 2),
      y: to.y - dropOf(shape) * restitution ** (2 * (i + 1)),
    };
    const end = i === count - 1 ? to : { x: across(time + duration), y: to.y };
    cubics.push(halfThrow(cubics[cubics.length - 1]!.end, apex), halfThrow(apex, end));
    time += duration;
  });
  return cubics;
}

const firstTop = (shape: Bounces): Vector => ({
  x: acrossAt(shape)(1 + shape.restitution),
  y: shape.to.y - dropOf(shape) * shape.restitution ** 2,
});

function bouncingTo(shape: Bounces, height: number): Bounces {
  const drop = shape.to.y - shape.from.y;
  if (drop <= 0) return shape;
  const share = Math.min(1, Math.max(0, (shape.to.y - height) / drop));
  return { ...shape, restitution: Math.max(MIN_RESTITUTION, Math.sqrt(share)) };
}

export const bounces = defineShape({
  kind: 'bounces',
  schema,
  closed: false,
  isUpright: true,
  cubics: cubicsOf,
  isCorner: (i) => i % 2 === 1,
  handles: (shape) => [
    { id: 'from', hint: 'move where it is let go', at: shape.from, dragged: (from) => ({ ...shape, from }) },
    { id: 'to', hint: 'move where it comes to rest', at: shape.to, dragged: (to) => ({ ...shape, to }) },
    {
      id: 'bounce',
      hint: 'change how high it bounces',
      at: firstTop(shape),
      dragged: (to) => bouncingTo(shape, to.y),
    },
  ],
  transformed: (shape, by) => ({ ...shape, from: by.point(shape.from), to: by.point(shape.to) }),
  fresh: {
    bounces: (space) => ({
      kind: 'bounces',
      reversed: false,
      from: space.point(-4, -3),
      to: space.point(4, 3),
      count: 3,
      restitution: 0.7,
    }),
  },
});
