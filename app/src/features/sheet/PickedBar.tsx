import { View } from 'react-native';

export const PickedBar = () => (
  <View testID="picked-line" className="absolute bottom-0 left-0 top-0 w-[4px] bg-brass" />
);
