import { shapesWords as words } from '../../words/shapes';
import { point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const line: ShapeDescriptor<ShapeOf<'line'>> = {
  names: { line: words.line },
  numbers: (shape) => [...point(shape, 'from', words.start), ...point(shape, 'to', words.end)],
};
