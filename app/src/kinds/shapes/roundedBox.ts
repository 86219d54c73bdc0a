import { shapesWords as words } from '../../words/shapes';
import { ANGLE, number, point, startSide, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const roundedBox: ShapeDescriptor<ShapeOf<'rounded-box'>> = {
  names: { 'rounded-box': words.roundedBox },
  numbers: (shape) => [
    number(shape, 'width', words.width),
    number(shape, 'height', words.height),
    number(shape, 'cornerRadius', words.cornerRadius, { max: Math.min(shape.width, shape.height) / 2 }),
    number(shape, 'startDeg', words.startsAt, ANGLE),
    number(shape, 'turnDeg', words.turnedBy, ANGLE),
    ...point(shape, 'centre', words.middle),
  ],
  choices: startSide,
};
