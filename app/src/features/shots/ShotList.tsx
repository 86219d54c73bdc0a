import { handOver } from '../../persistence/handedOver';
import { shotsWords as words } from '../../words/shots';
import FolderInput from 'lucide-react-native/icons/folder-input';
import Plus from 'lucide-react-native/icons/plus';
import Search from 'lucide-react-native/icons/search';
import { type ReactNode, useRef, useState } from 'react';
import { FlatList, View } from 'react-native';
import { freshShot } from '@humble/core';
import { api, failureOf, failureSentence, type ListedShot, useListShotsQuery } from '../../persistence/api';
import { useKnownList } from '../../persistence/useKnownList';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button, IconButton } from '../../ui/Button';
import { useLayout } from '../../ui/layout';
import { fixed } from '../../ui/numbers';
import { TextField } from '../../ui/TextField';
import { isLargeText, textScale } from '../../ui/textScale';
import { Words } from '../../ui/Words';
import { LazyEmptyList } from './LazyEmptyList';
import { FilmHead } from './FilmHead';
import { type FilmGroup, filmsOf, secondsOf } from './filmsOf';
import { twinsOf } from './twinsOf';
import { ListNotice } from './ListNotice';
import { LazyNewVersionNotice } from './LazyNewVersionNotice';
import { LazyNewShotDialog } from './LazyNewShotDialog';
import { offeredName } from './offeredName';
import { OrderButton } from './OrderButton';
import { ShotCardView } from './ShotCardView';
import { LazyShotMenu } from './LazyShotMenu';

/** A card is at least this wide; as many stand in a row as fit, two on a phone. */
const CARD_WIDTH = 260;
const MIN_COLUMNS = 2;
const MAX_COLUMNS = 5;

/** The list is asked for again this often while it is seen, milliseconds. */
const LIST_EVERY_MS = 5000;

interface Chosen {
  readonly shot: ListedShot;
  readonly group: FilmGroup;
}

interface ShotListProps {
  readonly onOpen: (id: string) => void;
  readonly onImport: () => void;
  readonly controls?: ReactNode;
}

const sum = (shots: readonly ListedShot[]): string =>
  `${shots.length} ${shots.length === 1 ? 'shot' : 'shots'}, ${fixed(secondsOf(shots), 1)} s`;

/** A line of the list: the head of a film, or some of its shots side by side. */
type Line =
  | { readonly kind: 'film'; readonly key: string; readonly group: FilmGroup }
  | {
      readonly kind: 'shots';
      readonly key: string;
      readonly group: FilmGroup;
      readonly shots: FilmGroup['shots'];
    };

/** @param isFound which of the shots are shown; the head of a film goes for all of them */
function linesOf(
  films: readonly FilmGroup[],
  isFound: (shot: ListedShot) => boolean,
  columns: number,
): readonly Line[] {
  // Shots that belong to no film need no head where there is no film.
  const hasHeads = films.some(({ film }) => film !== '');
  return films.flatMap((group): Line[] => {
    const found = group.shots.filter(isFound);
    const rows = Math.ceil(found.length / columns);
    if (rows === 0) return [];
    return [
      ...(hasHeads ? [{ kind: 'film', key: `film ${group.film}`, group } as const] : []),
      ...Array.from({ length: rows }, (_, row): Line => {
        const shots = found.slice(row * columns, (row + 1) * columns);
        return { kind: 'shots', key: shots[0]!.id, group, shots };
      }),
    ];
  });
}

/** So many lines are there at once, and as many more as lie above where the list was left. */
const FIRST_LINES = 10;
const MIN_LINE_PX = 100;

/** Where the list was left, pixels from its top: it comes back there. */
let leftAt = 0;

export function ShotList({ onOpen, onImport, controls }: ShotListProps) {
  const { data, isLoading, isError, error, refetch } = useListShotsQuery(undefined, {
    refetchOnMountOrArgChange: true,
    // What another window changed, and what the server found damaged meanwhile, shows by itself.
    pollingInterval: LIST_EVERY_MS,
    skipPollingIfUnfocused: true,
  });
  const { width, isWide } = useLayout();
  const [isNew, setNew] = useState(false);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [wanted, setWanted] = useState<string | null>(null);
  const least = isLargeText() ? 1 : MIN_COLUMNS;
  const columns = Math.min(MAX_COLUMNS, Math.max(least, Math.floor(width / (CARD_WIDTH * textScale()))));
  const known = useKnownList(!data && isError && failureOf(error).kind === 'offline');
  const shots = data ?? known?.shots ?? [];
  const { listOrder, newShot } = useSettings();
  const dispatch = useAppDispatch();
  const names = shots.map(({ name }) => name);
  const films = [...new Set(shots.map(({ film }) => film).filter(Boolean))];
  const drawNow = async (): Promise<void> => {
    const { length, ...size } = newShot;
    const shot = freshShot({ ...size, name: offeredName(names), lengthFrames: length });
    const result = await dispatch(api.endpoints.createShot.initiate(shot));
    if (!result.data) return void dispatch(messageShown(failureSentence(result.error)));
    handOver(result.data);
    onOpen(result.data.id);
  };
  const startTrying = async (): Promise<void> => {
    const { tryIt } = await import('../../commands/tryIt');
    const id = await dispatch(tryIt());
    if (id) onOpen(id);
  };
  const list = useRef<FlatList<Line>>(null);
  const [backTo] = useState(leftAt);
  const isBack = useRef(backTo === 0);
  const comeBack = (_: number, height: number): void => {
    if (isBack.current || height <= backTo) return;
    isBack.current = true;
    list.current?.scrollToOffset({ offset: backTo, animated: false });
  };
  const isFound = ({ name, film }: ListedShot): boolean =>
    !wanted || `${name} ${film}`.toLowerCase().includes(wanted.toLowerCase());
  const groups = filmsOf(shots, listOrder);
  const twins = twinsOf(shots);
  // An empty list has something that is wanted more.
  const newKind = shots.length > 0 ? 'brass' : 'plain';
  return (
    <View className="flex-1 bg-ground">
      <View className="w-full max-w-[1360px] flex-1 self-center">
        <View className="flex-row flex-wrap items-center justify-between px-4 pb-2 pt-5">
          <View className="shrink">
            <Words role="heading" aria-level={1} size="display" strong>
              {words.title}
            </Words>
            <Words tone="soft" testID="list-sum">
              {shots.length > 0 ? sum(shots) : ' '}
            </Words>
          </View>
          <View className="flex-row items-center gap-1">
            {isWide && <NewShotButton kind={newKind} onPress={() => setNew(true)} />}
            {controls}
            <OrderButton />
            <IconButton
              label={words.search}
              icon={Search}
              pressed={wanted !== null}
              onPress={() => setWanted(wanted === null ? '' : null)}
            />
            <IconButton label={words.importAShot} icon={FolderInput} onPress={onImport} />
          </View>
        </View>
        {wanted !== null && (
          <TextField
            label={words.searchByName}
            value={wanted}
            onChange={setWanted}
            autoFocus
            className="px-4 pb-3"
          />
        )}
        <LazyNewVersionNotice />
        {isError && (
          <ListNotice error={error} onRetry={refetch} shows={data ? 'latest' : known ? 'known' : 'nothing'} />
        )}
        {isLoading && (
          <Words role="status" tone="soft" className="px-4">
            {words.fetchingTheShots}
          </Words>
        )}
        {data && shots.length === 0 && (
          <LazyEmptyList
            onDraw={() => void drawNow()}
            onImport={onImport}
            onTryIt={() => void startTrying()}
          />
        )}
        {wanted && shots.length > 0 && !shots.some(isFound) && (
          <Words role="status" tone="soft" className="px-4">
            {words.noShotMatches(wanted)}
          </Words>
        )}
        <FlatList
          ref={list}
          onScroll={({ nativeEvent }) => (leftAt = nativeEvent.contentOffset.y)}
          onContentSizeChange={comeBack}
          initialNumToRender={FIRST_LINES + Math.ceil(backTo / MIN_LINE_PX)}
          data={linesOf(groups, isFound, columns)}
          keyExtractor={({ key }) => key}
          contentContainerClassName="gap-3 px-4 pb-4"
          renderItem={({ item }) =>
            item.kind === 'film' ? (
              <FilmHead group={item.group} films={films} />
            ) : (
              <View className="flex-row gap-3">
                {item.shots.map((shot) => (
                  <ShotCardView
                    key={shot.id}
                    shot={shot}
                    twin={twins.get(shot.id) ?? null}
                    columns={columns}
                    isAway={known !== null && !known.ids.has(shot.id)}
                    onOpen={() => onOpen(shot.id)}
                    onMenu={() => setChosen({ shot, group: item.group })}
                  />
                ))}
                {Array.from({ length: columns - item.shots.length }, (_, i) => (
                  <View key={i} className="flex-1" />
                ))}
              </View>
            )
          }
        />
        {!isWide && (
          <View className="border-t border-line px-4 py-3">
            <NewShotButton
              kind={newKind}
              onPress={() => setNew(true)}
              className="min-h-[52px] w-full max-w-[520px] self-center"
            />
          </View>
        )}
      </View>
      {isNew && (
        <LazyNewShotDialog names={names} films={films} onClose={() => setNew(false)} onCreated={onOpen} />
      )}
      {chosen && (
        <LazyShotMenu
          shot={chosen.shot}
          siblings={chosen.group.shots}
          films={films}
          onClose={() => setChosen(null)}
          onOpen={onOpen}
        />
      )}
    </View>
  );
}

interface NewShotButtonProps {
  readonly kind: 'brass' | 'plain';
  readonly onPress: () => void;
  readonly className?: string;
}

const NewShotButton = (props: NewShotButtonProps) => <Button label={words.newShot} icon={Plus} {...props} />;
