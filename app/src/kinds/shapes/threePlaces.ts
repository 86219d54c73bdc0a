import { point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const threePlaces: ShapeDescriptor<ShapeOf<'three-places'>> = {
  names: { 'three-places': 'Through three points' },
  numbers: (shape) => [
    ...point(shape, 'from', 'Start'),
    ...point(shape, 'through', 'Through'),
    ...point(shape, 'to', 'End'),
  ],
};
