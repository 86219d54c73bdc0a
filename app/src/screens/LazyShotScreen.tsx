import { laterPart } from '../ui/laterPart';
import { Laying } from './Laying';

/** The workbench, which the list of shots does not have to wait for. */
export const LazyShotScreen = laterPart(
  () => import('./ShotScreen').then((module) => module.ShotScreen),
  <Laying />,
);
