/** Drawings on paper as they come from a scanner or a camera. Apart from the rest, as only their worker loads it. */
export { clearPaper, enclosedMask, findLevels, LEAST_CONTRAST, type Levels } from './scan/clearPaper';
export { evenLight } from './scan/evenLight';
export { laidOn, lineUpMap, straightened } from './scan/lineUp';
export type { OnProgress, Pixels } from './scan/pixels';
export { findRegisterMarks, type FoundMarks, MARKS_ON_SHEET } from './scan/registerMarks';
