export { ShotError, type ShotErrorCode } from './errors';
export type { Vector } from './arc/vector';
export { distance } from './arc/vector';
export { type Cubic, pointAt, polynomial } from './arc/cubic';
export {
  arcLength,
  type ArcMeasure,
  curvatureAtDistance,
  distanceAtParameter,
  measureArc,
  measuredOneByOne,
  placeAt,
  placeBuffer,
  type PlaceOnArc,
  writePlace,
} from './arc/arcMeasure';
export { nearestAbout, type NearestPlace, nearestPlace } from './arc/nearestPlace';
export { keepSamples } from './arc/keepSamples';
export { fitStroke } from './arc/fitStroke';
export { handlePlace, PLAIN, type PointShape, smoothThrough, withShapedHandles } from './arc/smoothing';
export { nextPointId } from './arc/pointEdits';
export { type ShapePoints, shapePoints } from './arc/readyShapes';
export { freshShape, type FreshShapeKind, SHAPE_KINDS } from './arc/freshShape';
export { type ShapeHandle, shapeHandles, transformedShape, withShapeHandle } from './arc/shapeHandles';
export { pointsWithStroke, samplesFor, type StrokeUse, strokeUses } from './arc/drawOn';
export {
  applyTo,
  compose,
  mirrorAbout,
  rotationAbout,
  scalingAbout,
  type Transform,
  translation,
} from './arc/transform';
export type { ArcSide } from './arc/fromHere';
export { alongDirections, snap, type SnapGuide, type Snapped, type SnapTargets } from './arc/snap';
export { type CombTooth, curvatureComb, type DirectionArrow, directionArrows } from './arc/aids';
export { pathData } from './arc/pathData';
export * from './shot/schema';
export { LONGEST_SEQUENCE, PICTURE_TYPES } from './shot/backdropSchema';
export { fittedSize, PICTURE_LIMITS, sizeFault } from './shot/pictureLimits';
export { type LengthUnit, MILLIMETRES, pictureOn } from './shot/backdropEdits';
export type { FreshArc } from './shot/arcEdits';
export { freshShot, type FreshShot } from './shot/freshShot';
export { firstFault } from './shot/faultSentence';
export { openShot, readShotFile, writeShotFile } from './shot/openShot';
export {
  applyEdit,
  type Edit,
  type EditArguments,
  type EditName,
  edits,
  type MovesInLength,
} from './shot/edits';
export { standingPath } from './shot/standInPath';
export { STAND_INS, type StandIn, standInTransform, type Tone } from './shot/standIns';
export { easedDistance } from './timing/easedDistance';
export { type Ramp, rampOf } from './timing/easings/ramped';
export { windUpFrames } from './timing/easings/windUp';
export { firstFrame, fractionAt, lastFrame, type Span, spanIndexAt, spansOf } from './timing/placeInTime';
export { freshEasingOf, ticksFrom } from './timing/retime';
export { type CopiedMarks, copiedMarks } from './timing/markEdits';
export { fractionOfPoint } from './timing/keepTiming';
export { isHold } from './timing/isHold';
export { leavesArc } from './timing/leavesArc';
export { type SpanKnots, spanArrivingAt, spanKnots, spanDisplacement } from './timing/spanKnots';
export { type ChartTick, type NearEasing, nearestEasings } from './timing/nearestEasing';
export { type FrameRun, framesOn, runWithin, type Stretch, stretchOn } from './timing/whereAndWhen';
export { type Chart, chartShares, type Toward } from './spacing/charts';
export { type Ladder, ladderOf, type Rung } from './spacing/ladder';
export { ladderSvg } from './formats/ladderSvg';
export { type Pictures, picturesOn } from './spacing/pictures';
export {
  arrivalShown,
  beginsExposure,
  endsPastShot,
  type Exposure,
  exposureFrames,
  exposuresOf,
  isSkipped,
  marksBetweenExposures,
  shownFrame,
} from './spacing/exposures';
export { roundToStep } from './spacing/roundToStep';
export {
  extremeIncrements,
  type IncrementRow,
  type IncrementTable,
  incrementTable,
  seenRow,
  type SkippedRow,
} from './spacing/increments';
export { type Post, type RulerTick, type UnrolledArc, unrolledArc } from './spacing/unrolledArc';
export { type Tick, ticksOf, ticksPath } from './spacing/ticks';
export { type Evaluation, evaluate, evaluateMove, type Travel } from './travel/evaluate';
export { type GhostChoice, ghostFrames, type Ghosts } from './travel/ghosts';
export { CARD_BYTES, CARD_VERSION, plainCard, type ShotCard, shotCard } from './formats/shotCard';
export { type Standing, standingsOn } from './travel/standings';
export { type Exporter, EXPORTERS } from './formats/exporters';
export { INCREMENT_COLUMNS, writeIncrementsCsv } from './formats/incrementsCsv';
export { type PlaceColumn, readIncrementsCsv, type ReadIncrements } from './formats/readIncrementsCsv';
export { shotFromIncrements } from './formats/shotFromIncrements';
export { type ReadTiming, withTimingFrom } from './formats/timingFromIncrements';
export { type TrackedPositions, readTrackedCsv } from './formats/trackedCsv';
export {
  gestureFrames,
  gestureFrom,
  gestureSeconds,
  type Moment,
  momentsOf,
  type PointerSample,
  type RawGesture,
  withRests,
} from './perform/gesture';
export { type ActedDeviation, actedDeviation, gestureOf } from './perform/actedDeviation';
export type { ThinnedGesture, ThinOptions } from './perform/thinGesture';
export { type BetweenPoses, betweenPoses } from './pose/betweenPoses';
export { type PoseAim, poseAim, type PosePath } from './pose/pose';
export { type ActingOut, actedPoints } from './shot/gestureEdits';
