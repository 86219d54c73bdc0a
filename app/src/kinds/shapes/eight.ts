import { shapesWords as words } from '../../words/shapes';
import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const eight: ShapeDescriptor<ShapeOf<'eight'>> = {
  names: { eight: words.figureOfEight },
  numbers: (shape) => [
    number(shape, 'width', words.width),
    number(shape, 'height', words.height),
    number(shape, 'turnDeg', words.turnedBy, ANGLE),
    ...point(shape, 'centre', words.middle),
  ],
};
