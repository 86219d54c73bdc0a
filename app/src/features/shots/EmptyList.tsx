import Clapperboard from 'lucide-react-native/icons/clapperboard';
import FolderInput from 'lucide-react-native/icons/folder-input';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import { View } from 'react-native';
import { loadDemoFilm } from '../../commands/films';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';

interface EmptyListProps {
  readonly onDraw: () => void;
  readonly onImport: () => void;
}

/** Before the first shot: three ways on. */
export const EmptyList = ({ onDraw, onImport }: EmptyListProps) => (
  <View className="w-full max-w-[420px] gap-3 self-center px-6 py-16">
    <Words size="title" strong className="text-center">
      No shots yet
    </Words>
    <Words tone="soft" className="mb-2 text-center">
      A shot is one piece of work: a length in frames, and what travels in it. One stroke gives you an arc,
      its increments and something to play.
    </Words>
    <Button label="Draw something now" icon={PencilLine} kind="brass" onPress={onDraw} />
    <Button label="Open the demo film" icon={Clapperboard} onPress={() => void loadDemoFilm()} />
    <Button label="Import a file" icon={FolderInput} onPress={onImport} />
  </View>
);
