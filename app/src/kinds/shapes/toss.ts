import { shapesWords as words } from '../../words/shapes';
import { number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const toss: ShapeDescriptor<ShapeOf<'toss'>> = {
  names: { toss: words.toss },
  numbers: (shape) => [
    number(shape, 'height', words.heightAboveTheEnds),
    ...point(shape, 'from', words.from),
    ...point(shape, 'to', words.to),
  ],
};
