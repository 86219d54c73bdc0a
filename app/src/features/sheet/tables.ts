export { ExposureSheetView } from './exposures/ExposureSheetView';
export { SheetCharts } from './exposures/SheetCharts';
export { IncrementsTable } from './IncrementsTable';
export { PanGroup } from './pan/PanGroup';
