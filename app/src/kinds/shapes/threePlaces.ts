import { shapesWords as words } from '../../words/shapes';
import { point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const threePlaces: ShapeDescriptor<ShapeOf<'three-places'>> = {
  names: { 'three-places': words.throughThreePoints },
  numbers: (shape) => [
    ...point(shape, 'from', words.start),
    ...point(shape, 'through', words.through),
    ...point(shape, 'to', words.end),
  ],
};
