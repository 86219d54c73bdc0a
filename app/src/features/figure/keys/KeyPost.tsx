import Svg, { Path } from 'react-native-svg';
import { colour } from '../../../ui/colour';

/** The post of a key: solid where there is one, dotted where there is none. */
export const KeyPost = ({ isSet }: { readonly isSet: boolean }) => (
  <Svg width={16} height={24}>
    <Path
      d="M8 2V22M2 22H14"
      stroke={isSet ? colour.brass : colour.soft}
      strokeWidth={isSet ? 4 : 2}
      strokeDasharray={isSet ? undefined : '2 3'}
      fill="none"
    />
  </Svg>
);
