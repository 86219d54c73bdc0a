import { emptyListWords as words } from '../../words/emptyList';
import Clapperboard from 'lucide-react-native/icons/clapperboard';
import Flame from 'lucide-react-native/icons/flame';
import FolderInput from 'lucide-react-native/icons/folder-input';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import { View } from 'react-native';
import { filmCommands } from '../../commands/filmCommands';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';

interface EmptyListProps {
  readonly onDraw: () => void;
  readonly onImport: () => void;
  readonly onTryIt: () => void;
}

const openDemo = async (): Promise<void> => (await filmCommands()).loadDemoFilm();

export const EmptyList = ({ onDraw, onImport, onTryIt }: EmptyListProps) => (
  <View className="w-full max-w-[420px] gap-3 self-center px-6 py-16">
    <Words size="title" strong className="text-center">
      {words.noShotsYet}
    </Words>
    <Words tone="soft" className="mb-2 text-center">
      {words.aShotIsOnePieceOf}
    </Words>
    <Button label={words.drawSomethingNow} icon={PencilLine} kind="brass" onPress={onDraw} />
    <Button label={words.tryIt} icon={Flame} onPress={onTryIt} />
    <Button label={words.openTheDemoFilm} icon={Clapperboard} onPress={() => void openDemo()} />
    <Button label={words.importAFile} icon={FolderInput} onPress={onImport} />
  </View>
);
