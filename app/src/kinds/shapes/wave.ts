import { shapesWords as words } from '../../words/shapes';
import { count, number, point, type ShapeDescriptor, type ShapeOf, SIGNED } from './shapeDescriptor';

export const wave: ShapeDescriptor<ShapeOf<'wave'>> = {
  names: { wave: words.wave },
  numbers: (shape) => [
    number(shape, 'count', words.waves, count(60)),
    number(shape, 'height', words.middleToCrest, SIGNED),
    ...point(shape, 'from', words.start),
    ...point(shape, 'to', words.end),
  ],
};
