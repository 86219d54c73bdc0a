/** What the Shoot step works with: placements, deviations, the set as it is read, and the stage of cardboard. */
export { cornersFault, type FourSpots } from './arc/homography';
export { AS_PLANNED } from './edits/shootEdits';
export { placedByHand, seededShare, STAGE_SEED, type StageStands } from './shoot/cardboardStage';
export { type Deviation, deviationOf, deviationsOf, plannedOn } from './shoot/deviation';
export { nextPlacement, type NextOfFigure, type NextPlacement } from './shoot/nextPlacement';
export {
  latestPicture,
  pictureSeenOn,
  placementsLeft,
  placementsOf,
  standingPictures,
} from './shoot/placements';
export type { ReplanWay } from './shoot/replan';
export {
  type Corners,
  cornersOf,
  residualOf,
  type SetReading,
  setReading,
  tableGrid,
} from './shoot/setReading';
export { spokenIncrement } from './shoot/spokenIncrement';
