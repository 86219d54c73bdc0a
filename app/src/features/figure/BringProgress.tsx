import { View } from 'react-native';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { figuresWords as words } from '../../words/figures';
import type { useBringDrawings } from './useBringDrawings';

type BringProgressProps = Pick<ReturnType<typeof useBringDrawings>, 'progress' | 'cancel'>;

export const BringProgress = ({ progress, cancel }: BringProgressProps) =>
  progress && (
    <View className="mt-2 flex-row flex-wrap items-center gap-2">
      <Words role="status" tone="soft">
        {words.picturesLoaded(progress.done, progress.of)}
      </Words>
      <Button label={words.stop} onPress={cancel} />
    </View>
  );
