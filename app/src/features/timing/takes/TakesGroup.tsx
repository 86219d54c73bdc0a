import { currentTake, type Take } from '@humble/core';
import CopyPlus from 'lucide-react-native/icons/copy-plus';
import Pencil from 'lucide-react-native/icons/pencil';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useAppDispatch, useEdit } from '../../../store/hooks';
import { messageShown } from '../../../store/sessionSlice';
import { ActionRow } from '../../../ui/ActionRow';
import { Card } from '../../../ui/Card';
import { TextField } from '../../../ui/TextField';
import { NumericText, Words } from '../../../ui/Words';
import { takesWords as words } from '../../../words/takes';
import { chooseTake } from '../../../commands/takes';
import { CompareCard } from './CompareCard';
import { useThrottledShotValue } from '../../../store/throttled/hooks';

export const TakesGroup = () => (
  <>
    <TakesCard />
    <CompareCard />
  </>
);

function TakesCard() {
  const takes = useThrottledShotValue((shot) => shot.takes);
  const current = useThrottledShotValue(currentTake);
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const [isRenaming, setRenaming] = useState(false);
  const remove = (): void => {
    if (edit('removeTake', { takeId: current.id })) dispatch(messageShown(words.wasDeleted(current.name)));
  };
  return (
    <Card title={words.takes}>
      {takes.length === 1 && <Words tone="soft">{words.aTakeIs}</Words>}
      <View role="radiogroup" aria-label={words.takes}>
        {takes.map((take) => (
          <TakeLine key={take.id} take={take} onChoose={() => dispatch(chooseTake(take.id))} />
        ))}
      </View>
      {isRenaming && <NameField key={current.id} take={current} onDone={() => setRenaming(false)} />}
      <ActionRow
        actions={[
          { label: words.newTake, icon: CopyPlus, onPress: () => edit('addTake', {}) },
          { label: words.rename, icon: Pencil, pressed: isRenaming, onPress: () => setRenaming(!isRenaming) },
          takes.length > 1 && { label: words.deleteIt, icon: Trash, isRemoval: true, onPress: remove },
        ]}
      />
    </Card>
  );
}

function TakeLine({ take, onChoose }: { readonly take: Take; readonly onChoose: () => void }) {
  const isCurrent = take.kept === null;
  const shotFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  return (
    <Pressable
      role="radio"
      aria-checked={isCurrent}
      aria-label={take.name}
      onPress={onChoose}
      className={`min-h-[44px] flex-row items-center gap-3 rounded-large px-2 ${isCurrent ? 'bg-brasswash' : ''}`}
    >
      <View
        className={`h-[16px] w-[16px] items-center justify-center rounded-full border ${isCurrent ? 'border-brass' : 'border-soft'}`}
      >
        {isCurrent && <View className="h-[8px] w-[8px] rounded-full bg-brass" />}
      </View>
      <Words strong={isCurrent} numberOfLines={1} className="min-w-0 flex-1">
        {take.name}
      </Words>
      <NumericText tone="soft">{words.frames(take.kept?.lengthFrames ?? shotFrames)}</NumericText>
    </Pressable>
  );
}

function NameField({ take, onDone }: { readonly take: Take; readonly onDone: () => void }) {
  const edit = useEdit();
  const [text, setText] = useState(take.name);
  const finish = (): void => {
    const name = text.trim();
    if (name !== '' && name !== take.name) edit('renameTake', { takeId: take.id, name });
    onDone();
  };
  return (
    <TextField
      label={words.takeName}
      value={text}
      onChange={setText}
      onBlur={finish}
      onSubmit={finish}
      autoFocus
      className="my-2"
    />
  );
}

export function TakesSummary() {
  const name = useThrottledShotValue((shot) => (shot.takes.length > 1 ? currentTake(shot).name : null));
  return name === null ? null : (
    <Words tone="soft" numberOfLines={1}>
      {name}
    </Words>
  );
}
