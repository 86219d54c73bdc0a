import { shotsWords as words } from '../../words/shots';
import Copy from 'lucide-react-native/icons/copy';
import More from 'lucide-react-native/icons/ellipsis-vertical';
import FileArchive from 'lucide-react-native/icons/file-archive';
import Pencil from 'lucide-react-native/icons/pencil';
import Trash from 'lucide-react-native/icons/trash';
import { LONGEST_NAME } from '@humble/core';
import { useState } from 'react';
import { View } from 'react-native';
import { duplicateFilm, exportFilm, moveToFilm, removeFilm } from '../../commands/films';
import { IconButton } from '../../ui/Button';
import { Menu } from '../../ui/Menu';
import { fixed } from '../../ui/numbers';
import { TextField } from '../../ui/TextField';
import { NumericText, Words } from '../../ui/Words';
import { type FilmGroup, secondsOf } from './filmsOf';

interface FilmHeadProps {
  readonly group: FilmGroup;
  /** Of all films in the list. */
  readonly films: readonly string[];
}

/** Over the shots of a film: its name, how long it is, and what can be done with all of it. */
export function FilmHead({ group: { film, shots }, films }: FilmHeadProps) {
  const [isOpen, setOpen] = useState(false);
  const [isRenaming, setRenaming] = useState(false);
  const name = film || words.noFilm;
  if (isRenaming) return <RenameFilm film={film} shots={shots} onDone={() => setRenaming(false)} />;
  return (
    <View testID={`film-${film}`} className="flex-row items-center gap-3 pt-2">
      <Words role="heading" aria-level={2} size="title" strong numberOfLines={1} className="shrink">
        {name}
      </Words>
      <NumericText tone="soft" numberOfLines={1} className="flex-1">
        {`${shots.length === 1 ? words.oneShot : words.shotCount(shots.length)} · ${fixed(secondsOf(shots), 1)} s`}
      </NumericText>
      <IconButton label={words.moreForTheFilm(name)} icon={More} onPress={() => setOpen(true)} />
      {isOpen && (
        <Menu
          title={name}
          onClose={() => setOpen(false)}
          items={[
            {
              label: film ? words.rename : words.makeItAFilm,
              icon: Pencil,
              onPress: () => setRenaming(true),
            },
            {
              label: words.duplicate,
              icon: Copy,
              disabled: film === '',
              onPress: () => void duplicateFilm(film, shots, films),
            },
            {
              label: words.exportAsZIP,
              icon: FileArchive,
              onPress: () => void exportFilm(film, shots),
            },
            { label: words.remove, icon: Trash, onPress: () => void removeFilm(film, shots) },
          ]}
        />
      )}
    </View>
  );
}

interface RenameFilmProps {
  readonly film: string;
  readonly shots: FilmGroup['shots'];
  readonly onDone: () => void;
}

/** The name of a film, typed where it stands. */
function RenameFilm({ film, shots, onDone }: RenameFilmProps) {
  const [name, setName] = useState(film);
  const keep = async (): Promise<void> => {
    const next = name.trim();
    onDone();
    if (next !== film && next !== '') await moveToFilm(shots, next);
  };
  return (
    <TextField
      label={words.nameOfTheFilm}
      value={name}
      onChange={(text) => setName(text.slice(0, LONGEST_NAME))}
      onSubmit={() => void keep()}
      onBlur={() => void keep()}
      autoFocus
      className="max-w-[520px] pt-2"
    />
  );
}
