export { ShotError, type ShotErrorCode } from './model/errors';
export { plainLine, plainText } from './model/plainText';
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
  pointAtDistance,
  pointBuffer,
  type PointOnArc,
  writePoint,
} from './arc/arcMeasure';
export { nearestAbout, type NearestPoint, nearestPoint } from './arc/nearestPoint';
export { handlePoint, PLAIN, type PointShape, smoothThrough, withShapedHandles } from './arc/smoothing';
export { nextPointId } from './arc/pointEdits';
export {
  FRESH_SHAPES,
  freshShape,
  type ShapeHandle,
  shapeHandles,
  type ShapePoints,
  shapePoints,
  transformedShape,
  withShapeHandle,
} from './arc/readyShapes';
export type { FreshShapeName } from './arc/shapes';
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
export { pathData } from './arc/pathData';
export type * from './model/schema';
export { inFormat } from './model/fieldFormat';
export * from './model/frameNumbers';
export * from './model/limits';
export * from './model/names';
export { fittedSize, PICTURE_LIMITS, sizeFault } from './model/pictureLimits';
export { planesOf } from './motion/scene';
export { pictureOn } from './motion/backdropPicture';
export { fileStem } from './formats/fileStem';
export { inScale, type LengthScale, lengthScaleOf, type LengthUnit, splitLength } from './model/lengths';
export type { FreshArc } from './edits/arcEdits';
export { FRESH_FIGURE_SHARE } from './edits/withFigure';
export { freshShot, type FreshShot } from './model/freshShot';
export {
  applyEdit,
  type Edit,
  type EditArguments,
  type EditName,
  edits,
  type FlipWay,
  type MovesInLength,
} from './edits/edits';
export { type MadeIds, madeIds } from './edits/madeIds';
export { countCycles, type CycleCount, cycleFrames } from './exposure/cycle';
export type { StrideMatch } from './edits/strideEdits';
export {
  bestTravel,
  contactSteps,
  measuredAdvance,
  type SlipRow,
  slips,
  type Slips,
  solveStride,
  type Stride,
  strideOf,
} from './motion/stride';
export type { ChainPlan, Taper } from './motion/chain';
export { currentTake, shotOfTake } from './timing/takes';
export { durationOf, framesTimes, type HoldsInDuration } from './timing/duration';
export { type PartMoments, partMoments, type PartOfArc } from './timing/partOfArc';
export type { Later, Passage } from './timing/passage';
export type { RoundedMark } from './timing/frameMap';
export { distanceAhead, drawingOfRider, type RiderTravel } from './motion/riders';
export { drawingCount } from './exposure/drawings';
export {
  heightInField,
  type Look,
  lookOf,
  type PivotSpot,
  pivotSpots,
  placementOf,
  svgMatrix,
} from './motion/look';
export {
  type CameraOn,
  cameraOf,
  cameraOn,
  coveredOn,
  frameCorners,
  isCamera,
  laidForCamera,
  restingCamera,
  seenThrough,
} from './motion/cameraView';
export { offsetFrom, offsetInField } from './motion/offset';
export { STAND_INS, type StandIn, type Tone } from './motion/standIns';
export { easedDistance } from './timing/easedDistance';
export { type Ramp, rampOf } from './timing/easings/ramped';
export { windUpFrames } from './timing/easings/windUp';
export { firstFrame, fractionAt, lastFrame, type Span, spanIndexAt, spansOf } from './timing/placeInTime';
export { freshEasingOf, ticksFrom } from './timing/retime';
export { type CopiedMarks, copiedMarks, holdOn } from './timing/markEdits';
export { fractionOfPoint } from './timing/keepTiming';
export { scaleOn, type Scale } from './motion/scale';
export { forEachTrack, TRACKS, trackDefinition } from './timing/tracks';
export { type Growth, GROWTHS } from './timing/tracks/growth';
export { trackValueAt } from './timing/tracks/trackValues';
export { copiedKeys, type CopiedKeys, type Reach } from './timing/tracks/keyEdits';
export { isHold } from './timing/isHold';
export { type SpanKnots, spanArrivingAt, spanKnots, spanDisplacement } from './exposure/spanKnots';
export { type Chart, chartShares, type Toward } from './exposure/charts';
export { type Pictures, picturesOn } from './exposure/pictures';
export {
  beginsExposure,
  endsPastShot,
  type Exposure,
  exposureFrames,
  exposuresOf,
  isSkipped,
} from './exposure/exposures';
export { shownExposures, shownFrame } from './exposure/shownFrames';
export { roundToStep } from './exposure/roundToStep';
export {
  type Evaluation,
  evaluate,
  evaluateMove,
  type Travel,
  travelOfFigure,
  travelOfMove,
} from './motion/evaluate';
export type { ThinnedGesture, ThinOptions, ThinWish } from './gesture/thinGesture';
export { type BetweenPoses, betweenPoses } from './pose/betweenPoses';
export { type PoseAim, poseAim, type PosePath } from './pose/pose';
export { type ActingOut, actedPoints } from './edits/gestureEdits';
export { IMPORT_KINDS, isZip } from './formats/importKinds';
