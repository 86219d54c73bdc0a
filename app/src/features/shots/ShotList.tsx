import FolderInput from 'lucide-react-native/icons/folder-input';
import Plus from 'lucide-react-native/icons/plus';
import Search from 'lucide-react-native/icons/search';
import { type ReactNode, useState } from 'react';
import { FlatList, View } from 'react-native';
import { failureOf, failureSentence, type ShotSummary, useListShotsQuery } from '../../persistence/api';
import { Button, IconButton } from '../../ui/Button';
import { useLayout } from '../../ui/layout';
import { fixed } from '../../ui/numbers';
import { TextField } from '../../ui/TextField';
import { Words } from '../../ui/Words';
import { LazyNewShotDialog } from './LazyNewShotDialog';
import { ShotCardView } from './ShotCardView';
import { ShotMenu } from './ShotMenu';

/** A card is at least this wide; as many stand in a row as fit, two on a phone. */
const CARD_WIDTH = 260;
const LEAST_COLUMNS = 2;
const MOST_COLUMNS = 5;

/** The list is asked for again this often while it is seen, milliseconds. */
const LIST_EVERY_MS = 5000;

interface ShotListProps {
  readonly onOpen: (id: string) => void;
  readonly onImport: () => void;
  /** Further controls for the head of the page. */
  readonly controls?: ReactNode;
}

const sum = (shots: readonly ShotSummary[]): string => {
  const films = new Set(shots.map((shot) => shot.film).filter(Boolean));
  const seconds = shots.reduce((total, shot) => total + shot.lengthFrames / shot.rate, 0);
  const count = `${shots.length} ${shots.length === 1 ? 'shot' : 'shots'}, ${fixed(seconds, 1)} s`;
  return films.size === 1 ? `${[...films][0]} · ${count}` : count;
};

/** The first screen: every shot as a card with its own picture. */
export function ShotList({ onOpen, onImport, controls }: ShotListProps) {
  const { data, isLoading, isError, error, refetch } = useListShotsQuery(undefined, {
    refetchOnMountOrArgChange: true,
    // What another window changed, and what the server found damaged meanwhile, shows by itself.
    pollingInterval: LIST_EVERY_MS,
    skipPollingIfUnfocused: true,
  });
  const { width, isWide } = useLayout();
  const [isNew, setNew] = useState(false);
  const [chosen, setChosen] = useState<ShotSummary | null>(null);
  const [wanted, setWanted] = useState<string | null>(null);
  const columns = Math.min(MOST_COLUMNS, Math.max(LEAST_COLUMNS, Math.floor(width / CARD_WIDTH)));
  const shots = data ?? [];
  const found = wanted
    ? shots.filter(({ name, film }) => `${name} ${film}`.toLowerCase().includes(wanted.toLowerCase()))
    : shots;
  return (
    <View className="flex-1 bg-ground">
      <View className="w-full max-w-[1360px] flex-1 self-center">
        <View className="flex-row items-center justify-between px-4 pb-2 pt-5">
          <View className="shrink">
            <Words role="heading" aria-level={1} size="display" strong>
              Shots
            </Words>
            <Words tone="soft" testID="list-sum">
              {data ? sum(shots) : ' '}
            </Words>
          </View>
          <View className="flex-row items-center gap-1">
            {isWide && <NewShotButton onPress={() => setNew(true)} />}
            {controls}
            <IconButton
              label="Search"
              icon={Search}
              pressed={wanted !== null}
              onPress={() => setWanted(wanted === null ? '' : null)}
            />
            <IconButton label="Import a shot" icon={FolderInput} onPress={onImport} />
          </View>
        </View>
        {wanted !== null && (
          <TextField
            label="Search by name"
            value={wanted}
            onChange={setWanted}
            autoFocus
            className="px-4 pb-3"
          />
        )}
        {isError && <ListNotice error={error} onRetry={refetch} hasShots={shots.length > 0} />}
        {isLoading && (
          <Words role="status" tone="soft" className="px-4">
            Fetching the shots…
          </Words>
        )}
        {data && shots.length === 0 && <EmptyList />}
        {wanted && shots.length > 0 && found.length === 0 && (
          <Words role="status" tone="soft" className="px-4">{`No shot matches “${wanted}”.`}</Words>
        )}
        <FlatList
          key={columns}
          data={found}
          numColumns={columns}
          keyExtractor={(shot) => shot.id}
          contentContainerClassName="gap-3 px-4 pb-4"
          columnWrapperClassName="gap-3"
          renderItem={({ item }) => (
            <ShotCardView
              shot={item}
              columns={columns}
              onOpen={() => onOpen(item.id)}
              onMenu={() => setChosen(item)}
            />
          )}
        />
        {!isWide && (
          <View className="border-t border-line px-4 py-3">
            <NewShotButton
              onPress={() => setNew(true)}
              className="h-[52px] w-full max-w-[520px] self-center"
            />
          </View>
        )}
      </View>
      {isNew && (
        <LazyNewShotDialog
          names={shots.map(({ name }) => name)}
          onClose={() => setNew(false)}
          onCreated={onOpen}
        />
      )}
      {chosen && <ShotMenu shot={chosen} onClose={() => setChosen(null)} onOpen={onOpen} />}
    </View>
  );
}

interface NewShotButtonProps {
  readonly onPress: () => void;
  readonly className?: string;
}

/** In the head of the list on a wide screen, under the thumb on a phone. */
const NewShotButton = (props: NewShotButtonProps) => (
  <Button label="New shot" icon={Plus} kind="brass" {...props} />
);

interface ListNoticeProps {
  readonly error: unknown;
  readonly onRetry: () => void;
  readonly hasShots: boolean;
}

/** Why the list could not be fetched. */
function ListNotice({ error, onRetry, hasShots }: ListNoticeProps) {
  const failure = failureOf(error);
  return (
    <View role="alert" className="mx-4 mb-3 gap-3 rounded-large border border-plum bg-card p-4">
      <Words size="body">
        {failure.kind === 'offline' ? 'The server does not answer.' : failureSentence(error)}
      </Words>
      <Words tone="soft">{hasShots ? 'This list may be out of date.' : 'No shots to show.'}</Words>
      <Button label="Try again" onPress={onRetry} />
    </View>
  );
}

function EmptyList() {
  return (
    <View className="items-center gap-1 px-8 py-16">
      <Words size="title" strong>
        No shots yet
      </Words>
      <Words tone="soft" className="text-center">
        A shot is one piece of work: a length in frames, a field, and what travels in it. Make one, or import
        one from a file.
      </Words>
    </View>
  );
}
