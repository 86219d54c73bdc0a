export { ExposureSheetView } from './ExposureSheetView';
export { SheetCharts } from './SheetCharts';
