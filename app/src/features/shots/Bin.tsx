import { BIN_DAYS } from '@humble/core/routes';
import ArrowLeft from 'lucide-react-native/icons/chevron-left';
import Trash from 'lucide-react-native/icons/trash';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { restoreShot } from '../../commands/openDocument';
import {
  failureSentence,
  type RemovedShot,
  useEmptyBinMutation,
  useListRemovedQuery,
  useRemoveForGoodMutation,
} from '../../persistence/api';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button, IconButton } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { fixed } from '../../ui/numbers';
import { NumericText, Words } from '../../ui/Words';
import { binWords as words } from '../../words/bin';
import { CardPicture } from './CardPicture';
import { changedAt } from './changedAt';
import { daysUntil } from './daysUntil';

/** What is asked about before it is done: one shot, or all of them. */
type Asked = RemovedShot | 'all' | null;

/** Shots that were removed: each can be had back for thirty days. */
export function Bin({ onBack }: { readonly onBack: () => void }) {
  const { data, isLoading, error } = useListRemovedQuery();
  const [asked, setAsked] = useState<Asked>(null);
  const count = data?.length ?? 0;
  return (
    <View className="min-h-0 flex-1">
      <View className="h-[48px] flex-row items-center justify-between border-b border-line bg-card pr-2">
        <View className="flex-row items-center">
          <IconButton label={words.back} icon={ArrowLeft} onPress={onBack} />
          <Words role="heading" size="title" strong>
            {words.removedShots}
          </Words>
        </View>
        {count > 0 && (
          <Button label={words.empty} kind="quiet" icon={Trash} onPress={() => setAsked('all')} />
        )}
      </View>
      <ScrollView contentContainerClassName="mx-auto w-full max-w-[760px] gap-3 px-4 pb-6 pt-3">
        {isLoading && (
          <Words role="status" tone="soft">
            {words.fetchingTheShots}
          </Words>
        )}
        {error && (
          <Words role="alert" tone="plum">
            {failureSentence(error)}
          </Words>
        )}
        {data && (
          <Words tone="soft">
            {count === 0 ? `${words.nothingWasRemoved} ${words.help(BIN_DAYS)}` : words.help(BIN_DAYS)}
          </Words>
        )}
        <View role="list" aria-label={words.removedShots} className="gap-3">
          {data?.map((shot) => (
            <Removed key={shot.id} shot={shot} onRemove={() => setAsked(shot)} />
          ))}
        </View>
      </ScrollView>
      {asked && <ReallyDialog asked={asked} count={count} onClose={() => setAsked(null)} />}
    </View>
  );
}

interface RemovedProps {
  readonly shot: RemovedShot;
  readonly onRemove: () => void;
}

function Removed({ shot, onRemove }: RemovedProps) {
  const { id, name, film, lengthFrames, rate, removedAt, goneAt, card } = shot;
  const now = new Date();
  const facts = [
    film,
    words.seconds(fixed(lengthFrames / rate, 2)),
    words.removedWhen(changedAt(removedAt, now)),
  ];
  return (
    <View
      role="listitem"
      testID={`removed-${name}`}
      className="flex-row gap-3 overflow-hidden rounded-large border border-line bg-card"
    >
      <View className="w-[128px] self-start border-r border-line bg-field">
        <CardPicture card={card} />
      </View>
      <View className="min-w-0 flex-1 py-2 pr-2">
        <Words size="body" strong numberOfLines={2}>
          {name}
        </Words>
        <NumericText tone="soft" size="tiny">
          {facts.filter(Boolean).join(' · ')}
        </NumericText>
        <NumericText tone="plum" size="tiny">
          {words.goneIn(daysUntil(goneAt, now))}
        </NumericText>
        <View className="mt-2 flex-row justify-end gap-2">
          <IconButton label={words.removeForGoodNamed(name)} icon={Trash} onPress={onRemove} />
          <Button
            label={words.restoreNamed(name)}
            shows={words.restore}
            icon={Undo}
            onPress={() => void restoreShot(id)}
          />
        </View>
      </View>
    </View>
  );
}

interface ReallyProps {
  readonly asked: Exclude<Asked, null>;
  readonly count: number;
  readonly onClose: () => void;
}

function ReallyDialog({ asked, count, onClose }: ReallyProps) {
  const dispatch = useAppDispatch();
  const [removeForGood, one] = useRemoveForGoodMutation();
  const [emptyBin, all] = useEmptyBinMutation();
  const remove = async (): Promise<void> => {
    const { error } = await (asked === 'all' ? emptyBin() : removeForGood(asked.id));
    if (error) dispatch(messageShown(failureSentence(error)));
    onClose();
  };
  return (
    <Dialog title={words.removeForGood} isOpen onClose={onClose}>
      <Words size="body">{asked === 'all' ? words.reallyAll(count) : words.reallyOne(asked.name)}</Words>
      <Button
        label={words.removeForGood}
        kind="plum"
        disabled={one.isLoading || all.isLoading}
        onPress={() => void remove()}
      />
      <Button label={words.keep} onPress={onClose} />
    </Dialog>
  );
}
