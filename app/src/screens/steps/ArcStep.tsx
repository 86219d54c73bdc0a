import { ArcPanel } from '../../features/arc/ArcPanel';
import { BackdropPanel } from '../../features/backdrop/BackdropPanel';

export const ArcStep = () => <ArcPanel backdrop={<BackdropPanel />} />;
