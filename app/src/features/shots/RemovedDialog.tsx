import { removedWords as words } from '../../words/removedShots';
import Undo from 'lucide-react-native/icons/undo-2';
import { View } from 'react-native';
import { restoreShot } from '../../commands/openDocument';
import { failureSentence, type RemovedShot, useListRemovedQuery } from '../../persistence/api';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { fixed } from '../../ui/numbers';
import { NumericText, Words } from '../../ui/Words';
import { changedAt } from './changedAt';

export function RemovedDialog({ onClose }: { readonly onClose: () => void }) {
  const { data, isLoading, error } = useListRemovedQuery();
  return (
    <Dialog title={words.removedShots} isOpen onClose={onClose}>
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
      {data?.length === 0 && <Words tone="soft">{words.nothingWasRemoved}</Words>}
      {data?.map((shot) => (
        <Removed key={shot.id} shot={shot} />
      ))}
    </Dialog>
  );
}

function Removed({
  shot: { id, name, film, lengthFrames, rate, removedAt },
}: {
  readonly shot: RemovedShot;
}) {
  const when = words.removedWhen(changedAt(removedAt, new Date()));
  return (
    <View className="min-h-[48px] flex-row items-center justify-between gap-3">
      <View className="min-w-0 flex-1">
        <Words size="body" numberOfLines={2}>
          {name}
        </Words>
        <NumericText tone="soft" size="tiny">
          {[film, words.seconds(fixed(lengthFrames / rate, 2)), when].filter(Boolean).join(' · ')}
        </NumericText>
      </View>
      <Button
        label={words.restoreNamed(name)}
        shows={words.restore}
        icon={Undo}
        onPress={() => void restoreShot(id)}
      />
    </View>
  );
}
