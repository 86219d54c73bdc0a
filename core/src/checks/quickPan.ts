import { cameraAt, isCamera } from '../motion/cameraView';
import type { Check, CheckedTravel, Finding } from './check';
import { runsOf } from './steps';

/** A pan that would cross the picture's width in less than so many seconds strobes with a sharp shutter. */
const LEAST_SECONDS = 7;

/** A pan that is too quick for a sharp shutter: what stands still in it is seen twice. */
export const quickPan: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ shot, travel, steps, frameNumber }) => {
    if (!isCamera(travel.figure)) return [];
    const quick = steps.filter(({ from, frame, straight }) => {
      const { width } = cameraAt(travel, frame - 1, shot.field);
      return straight / (frame - from) > width / (LEAST_SECONDS * shot.rate);
    });
    return runsOf(quick).map(({ from, until }): Finding => ({
      from,
      until,
      sentence: `From frame ${frameNumber(from)} to ${frameNumber(until)} the pan would cross the picture in under ${LEAST_SECONDS} seconds: it will strobe unless the shutter blurs it.`,
      fix: null,
    }));
  },
};
