import { filmPaceWords } from '../../words/filmPace';
import { filmMenuWords as words } from '../../words/filmMenu';
import ChartLine from 'lucide-react-native/icons/chart-line';
import Copy from 'lucide-react-native/icons/copy';
import FileArchive from 'lucide-react-native/icons/file-archive';
import Pencil from 'lucide-react-native/icons/pencil';
import Trash from 'lucide-react-native/icons/trash';
import { duplicateFilm, exportFilm, removeFilm } from '../../commands/films';
import { Menu } from '../../ui/Menu';
import type { FilmGroup } from './filmsOf';

export { RenameFilm } from './RenameFilm';

interface FilmMenuProps {
  readonly group: FilmGroup;
  readonly films: readonly string[];
  readonly onRename: () => void;
  readonly onPace: () => void;
  readonly onClose: () => void;
}

export const FilmMenu = ({ group: { film, shots }, films, onRename, onPace, onClose }: FilmMenuProps) => (
  <Menu
    title={film || words.noFilm}
    onClose={onClose}
    items={[
      { label: film ? words.rename : words.makeItAFilm, icon: Pencil, onPress: onRename },
      {
        label: words.duplicate,
        icon: Copy,
        disabled: film === '',
        onPress: () => void duplicateFilm(film, shots, films),
      },
      { label: filmPaceWords.title, icon: ChartLine, onPress: onPace },
      { label: words.exportAsZIP, icon: FileArchive, onPress: () => void exportFilm(film, shots) },
      { label: words.remove, icon: Trash, onPress: () => void removeFilm(film, shots) },
    ]}
  />
);
