import type { Field } from '../model/schema';
import { type CameraOn, frameCorners } from './cameraView';

/** The frame of a camera as path data. @param unit field units of one unit of the path */
export const cameraFramePath = (camera: CameraOn, field: Pick<Field, 'width' | 'height'>, unit = 1): string =>
  `M${frameCorners(camera, field)
    .map(({ x, y }) => `${x / unit} ${y / unit}`)
    .join('L')}Z`;
