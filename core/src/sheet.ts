/** What the exposure sheet and the charts beside it are made from. Apart from the rest, as only the Sheet step loads it. */
export { type ExposureSheet, exposureSheet, type SheetCell, type SheetColumn } from './spacing/exposureSheet';
export { drawingNumber } from './spacing/drawingNumbers';
export { incrementsBySize, type PaceRow, paceRows, type SizeClass } from './spacing/incrementCharts';
