import { count, number, point, type ShapeDescriptor, type ShapeOf, SIGNED } from './shapeDescriptor';

export const wave: ShapeDescriptor<ShapeOf<'wave'>> = {
  names: { wave: 'Wave' },
  numbers: (shape) => [
    number(shape, 'count', 'Waves', count(60)),
    number(shape, 'height', 'Middle to crest', SIGNED),
    ...point(shape, 'from', 'Start'),
    ...point(shape, 'to', 'End'),
  ],
};
