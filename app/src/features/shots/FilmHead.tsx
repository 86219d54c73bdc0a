import { shotsWords as words } from '../../words/shots';
import More from 'lucide-react-native/icons/ellipsis-vertical';
import { LONGEST_NAME } from '@humble/core';
import { useState } from 'react';
import { View } from 'react-native';
import { filmCommands } from '../../commands/filmCommands';
import { IconButton } from '../../ui/Button';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { fixed } from '../../ui/numbers';
import { TextField } from '../../ui/TextField';
import { NumericText, Words } from '../../ui/Words';
import { type FilmGroup, secondsOf } from './filmsOf';

const LazyFilmMenu = lazyWithRetry(() => import('./FilmMenu').then((part) => part.FilmMenu));

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
        <LazyFilmMenu
          group={{ film, shots }}
          films={films}
          onRename={() => setRenaming(true)}
          onClose={() => setOpen(false)}
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
    if (next !== film && next !== '') await (await filmCommands()).moveToFilm(shots, next);
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
