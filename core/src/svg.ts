/** Reading SVG: a way in of its own, so that the reader is only fetched where a drawing is read. */
export { svgPixels } from './formats/svgLength';
export { type DrawnPath, readSvgDrawing } from './formats/svgDrawing';
export { readPathData, type SubPath } from './formats/svgPathData';
export { fittingTransform, importedPoints } from './formats/importedArc';
