/** Shots and tables from outside and to the outside: what checks, reads and writes them. */

export { type ShotsAndFiles, withoutNotesOfCameras, withPicturesRenamed } from './formats/cleanedPictures';
export { COPIES, type Copy } from './formats/copies';
export { type NamedPace, writeFilmPaceCsv } from './formats/filmPaceCsv';
export { FILE_ENDINGS } from './formats/fileEndings';
export { writeExposureSheetCsv } from './formats/exposureSheetCsv';
export { type ExportContext, type Exporter, EXPORTERS } from './formats/exporters';
export {
  drawnPicturesOf,
  type Film,
  picturesOf,
  readFilmZip,
  soundsOf,
  writeFilmZip,
} from './formats/filmZip';
export { decodedText } from './formats/decodedText';
export { importShot } from './formats/importers';
export { INCREMENT_COLUMNS, writeIncrementsCsv } from './formats/incrementsCsv';
export { writePanCsv } from './formats/panCsv';
export { partRows } from './formats/partsCsv';
export { ladderSvg } from './formats/ladderSvg';
export { type PlaceColumn, readIncrementsCsv, type ReadIncrements } from './formats/readIncrementsCsv';
export { CARD_BYTES, CARD_VERSION, plainCard, type ShotCard, shotCard } from './formats/shotCard';
export { withoutNotesInDrawing, withoutPictureNotes } from './formats/pictureNotes';
export { pictureSourceFrom } from './formats/pictureSourceFrom';
export { type Ground, type PictureSource, type SceneOptions, scenesSvg } from './formats/sceneSvg';
export { sliderFaults, type SliderLimits, sliderRows, writeSliderCsv } from './formats/sliderCsv';
export { type StrobeChoice, strobeSvg } from './formats/strobeSvg';
export { type ReadTiming, withTimingFrom } from './formats/timingFromIncrements';
export { type ReadCue, readCuesCsv } from './formats/readCuesCsv';
export { readTrackedCsv, type TrackedPositions } from './formats/trackedCsv';
export { describeChanges } from './history/describeChanges';
export { ALL_KEPT_MS, HOURLY_KEPT_MS, keptRevisions, type RevisionAge } from './history/keptRevisions';
export { firstFault } from './model/faultSentence';
export { openShot, readShotFile, writeShotFile } from './model/openShot';
export { easingSchema, lengthSchema, rateSchema, shotSchema } from './model/schema';
export { SHOT_FORMAT, SHOT_VERSION } from './model/version';
export { z } from 'zod';
