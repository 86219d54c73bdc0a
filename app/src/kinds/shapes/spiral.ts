import { shapesWords as words } from '../../words/shapes';
import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const spiral: ShapeDescriptor<ShapeOf<'spiral'>> = {
  names: { spiral: words.spiral },
  numbers: (shape) => [
    number(shape, 'turns', words.turns, { unit: undefined, min: -60, max: 60, step: 0.25, decimals: 2 }),
    number(shape, 'innerRadius', words.innerRadius),
    number(shape, 'outerRadius', words.outerRadius),
    number(shape, 'startDeg', words.startsAt, ANGLE),
    ...point(shape, 'centre', words.middle),
  ],
};
