import { FigurePanel } from '../../features/figure/FigurePanel';
import type { HoldOf } from '../../features/figure/PosesCard';
import { figureKeys } from '../../features/figure/figureKeys';
import { HoldHere } from '../../features/timing/cards/HoldHere';
import type { StepParts } from './stepParts';

const holdHere: HoldOf = (move, frame) => <HoldHere move={move} frame={frame} />;

export const figure: StepParts = {
  Panel: () => <FigurePanel hold={holdHere} />,
  keys: figureKeys,
};
