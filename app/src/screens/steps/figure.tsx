import { FigurePanel } from '../../features/figure/FigurePanel';
import type { HoldOf } from '../../features/figure/PosesCard';
import { figureKeys } from '../../features/figure/figureKeys';
import type { EasingChoice } from '../../features/figure/tracks/TrackCard';
import { EasingField } from '../../features/timing/cards/EasingField';
import { HoldHere } from '../../features/timing/cards/HoldHere';
import type { StepParts } from './stepParts';

const holdHere: HoldOf = (move, frame) => <HoldHere move={move} frame={frame} />;

const easingChoice: EasingChoice = (props) => <EasingField {...props} />;

export const figure: StepParts = {
  Panel: () => <FigurePanel hold={holdHere} easingChoice={easingChoice} />,
  keys: figureKeys,
};
