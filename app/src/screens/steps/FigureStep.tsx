import { FigurePanel } from '../../features/figure/FigurePanel';
import type { HoldOf } from '../../features/figure/PosesCard';
import type { EasingChoice } from '../../features/figure/tracks/TrackCard';
import { EasingField } from '../../features/timing/cards/EasingField';
import { HoldHere } from '../../features/timing/cards/HoldHere';

const holdHere: HoldOf = (move, frame) => <HoldHere move={move} frame={frame} />;
const easingChoice: EasingChoice = (props) => <EasingField {...props} />;

export const FigureStep = () => <FigurePanel hold={holdHere} easingChoice={easingChoice} />;
