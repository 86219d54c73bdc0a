import { SheetPanel } from '../../features/sheet/SheetPanel';
import type { PanelProps } from './stepParts';

export const SheetStep = ({ onExport }: PanelProps) => <SheetPanel onExport={onExport} />;
