import { point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const line: ShapeDescriptor<ShapeOf<'line'>> = {
  names: { line: 'Line' },
  numbers: (shape) => [...point(shape, 'from', 'Start'), ...point(shape, 'to', 'End')],
};
