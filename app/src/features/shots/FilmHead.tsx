import { shotsWords as words } from '../../words/shots';
import More from 'lucide-react-native/icons/ellipsis-vertical';
import { useState } from 'react';
import { View } from 'react-native';
import { IconButton } from '../../ui/Button';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { fixed } from '../../ui/numbers';
import { NumericText, Words } from '../../ui/Words';
import { type FilmGroup, secondsOf } from './filmsOf';

/** What can be done with a film is for the second step: the first screen does not wait for it. */
const LazyFilmMenu = lazyWithRetry(() => import('./FilmMenu').then((part) => part.FilmMenu));
const LazyRenameFilm = lazyWithRetry(() => import('./FilmMenu').then((part) => part.RenameFilm));
const LazyFilmPace = lazyWithRetry(() => import('./FilmPaceDialog').then((part) => part.FilmPaceDialog));

interface FilmHeadProps {
  readonly group: FilmGroup;
  readonly films: readonly string[];
}

export function FilmHead({ group: { film, shots }, films }: FilmHeadProps) {
  const [open, setOpen] = useState<'menu' | 'rename' | 'pace' | null>(null);
  const name = film || words.noFilm;
  const close = (): void => setOpen(null);
  if (open === 'rename') return <LazyRenameFilm film={film} shots={shots} onDone={close} />;
  return (
    <View testID={`film-${film}`} className="flex-row items-center gap-3 pt-2">
      <Words role="heading" aria-level={2} size="title" strong numberOfLines={1} className="shrink">
        {name}
      </Words>
      <NumericText tone="soft" numberOfLines={1} className="flex-1">
        {`${shots.length === 1 ? words.oneShot : words.shotCount(shots.length)} · ${fixed(secondsOf(shots), 1)} s`}
      </NumericText>
      <IconButton label={words.moreForTheFilm(name)} icon={More} onPress={() => setOpen('menu')} />
      {open === 'menu' && (
        <LazyFilmMenu
          group={{ film, shots }}
          films={films}
          onRename={() => setOpen('rename')}
          onPace={() => setOpen('pace')}
          onClose={close}
        />
      )}
      {open === 'pace' && <LazyFilmPace name={name} shots={shots} onClose={close} />}
    </View>
  );
}
