import { shapesWords as words } from '../../words/shapes';
import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const swing: ShapeDescriptor<ShapeOf<'swing'>> = {
  names: { swing: words.swing },
  numbers: (shape) => [
    number(shape, 'length', words.length),
    number(shape, 'fromDeg', words.from, ANGLE),
    number(shape, 'toDeg', words.to, ANGLE),
    ...point(shape, 'hang', words.hangsFrom),
  ],
};
