import { benchWords as words } from '../words/bench';
import { View } from 'react-native';
import { Words } from '../ui/Words';

export function OpeningShot() {
  return (
    <View className="flex-1 items-center justify-center bg-ground">
      <Words role="status" tone="soft">
        {words.openingTheShot}
      </Words>
    </View>
  );
}
