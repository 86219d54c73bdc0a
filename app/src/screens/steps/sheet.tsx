import { SheetPanel } from '../../features/sheet/SheetPanel';
import type { StepParts } from './stepParts';

export const sheet: StepParts = {
  Panel: ({ onExport }) => <SheetPanel onExport={onExport} />,
  scrollsItself: true,
};
