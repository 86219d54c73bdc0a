/**
 * What is read from a shot to be looked at: increments, rulers, ghosts, figures in the field, what a stroke or a gesture
 * may become. Apart from the rest, so that the list of shots does not load it.
 */
export { keepSamples } from './arc/keepSamples';
export { closedPoints, closesStroke, withEndsMet } from './arc/closedStroke';
export { fitStroke } from './arc/fitStroke';
export { pointsWithStroke, samplesFor, type StrokeUse, strokeUses } from './arc/drawOn';
export { alongDirections, snap, type SnapGuide, type Snapped, type SnapTargets } from './arc/snap';
export { type CombTooth, curvatureComb, type DirectionArrow, directionArrows } from './arc/aids';
export {
  drawingOfTravel,
  figureOn,
  type FigureOn,
  type PartOn,
  partsOn,
  waitingFigure,
} from './motion/figureOn';
export type { Slice } from './motion/bentStrip';
export { type BetweenOn, betweenOn, placedRing, ringsData } from './motion/betweenOn';
export {
  followedSpots,
  type SpotOfMove,
  spotOn,
  spotOnDrawing,
  spotTrail,
  spotUnder,
  type TrailPlace,
} from './motion/spotTrail';
export { cameraFramePath } from './motion/cameraFramePath';
export { SILHOUETTE_UNITS, ringsPath, silhouettePath } from './motion/silhouettePath';
export { type ChartTick, type NearEasing, nearestEasings } from './timing/nearestEasing';
export {
  frameNearestTo,
  type FrameRange,
  framesOnArcRange,
  frameRangeWithin,
  type ArcRange,
  arcRangeOn,
} from './motion/arcRange';
export { type PhysicalTiming, physicalTiming, plannedTiming } from './edits/physicsEdits';
export { isPhysical, type PhysicalShape } from './physics/course';
export { type Rolls } from './physics/rolling';
export { planOf } from './edits/solveEdits';
export {
  distanceFor,
  easingUnder,
  framesFor,
  framesUnder,
  largestIncrement,
  smallestIncrement,
  type SpanPlan,
} from './timing/solve';
export {
  type Apart,
  differenceOn,
  type FrameDifference,
  largestDifference,
  takeDifference,
  type TakesAlign,
  takeShift,
} from './motion/takeDifference';
export { frameOfSeconds, secondsOfFrame } from './timing/cues';
export { findBeats } from './timing/beats';
export { stretchRoundings } from './timing/passage';
export { atRate, roundedMarks } from './timing/frameMap';
export {
  drawingAt,
  drawingNumber,
  type DrawingRole,
  fractionName,
  type NumberedDrawing,
  numberedDrawings,
} from './spacing/drawingNumbers';
export {
  byCompass,
  movedArtwork,
  type PanRow,
  type PanStep,
  type PanTable,
  panTable,
} from './spacing/panTable';
export { type SpotColumn, spotColumns } from './spacing/spotIncrements';
export { type DrawnThrough, drawnThroughOn, drawnThroughSpans, shareThrough } from './exposure/drawnThrough';
export { guessedOnSecond } from './edits/inbetweenEdits';
export { type PinPath, pinPath } from './inbetween/inBetween';
export { hasNoGround, isLineAlone, pinsBetween } from './inbetween/drawnPair';
export { type Ladder, type LadderEnd, ladderOf, ladderThrough, type Rung } from './spacing/ladder';
export { finestStep } from './spacing/finestStep';
export {
  extremeIncrements,
  type IncrementRow,
  type IncrementTable,
  incrementTable,
  seenRow,
  readingUnits,
  type SkippedRow,
} from './spacing/increments';
export { type Post, type RulerTick, type UnrolledArc, unrolledArc } from './spacing/unrolledArc';
export { fifthsOf, type Tick, ticksOf, ticksPath } from './spacing/ticks';
export { type GhostChoice, ghostFrames, type Ghosts } from './motion/ghosts';
export { type Standing, standingsOn } from './motion/standings';
export {
  gestureFrames,
  gestureFrom,
  gestureSeconds,
  type TimedPoint,
  momentsOf,
  type PointerSample,
  type RawGesture,
  withRests,
} from './gesture/gesture';
export { type ActedDeviation, actedDeviation, gestureOf } from './gesture/actedDeviation';
