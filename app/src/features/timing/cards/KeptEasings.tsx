import { timingWords as words } from '../../../words/timing';
import { type Easing } from '@humble/core';
import Bookmark from 'lucide-react-native/icons/bookmark';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';
import {
  failureSentence,
  useKeepEasingMutation,
  useListEasingsQuery,
  useRemoveEasingMutation,
} from '../../../persistence/api';
import { useAppDispatch } from '../../../store/hooks';
import { messageShown } from '../../../store/sessionSlice';
import { Button, IconButton } from '../../../ui/Button';
import { TextField } from '../../../ui/TextField';
import { Words } from '../../../ui/Words';

interface KeptEasingsProps {
  readonly easing: Easing;
  readonly onChoose: (easing: Easing) => void;
}

export function KeptEasings({ easing, onChoose }: KeptEasingsProps) {
  const { data: kept = [], isError, error } = useListEasingsQuery();
  const [keep, { isLoading }] = useKeepEasingMutation();
  const [remove] = useRemoveEasingMutation();
  const [name, setName] = useState('');
  const dispatch = useAppDispatch();
  const tell = (problem: unknown): void => {
    dispatch(messageShown(failureSentence(problem)));
  };
  const keepIt = async (): Promise<void> => {
    try {
      await keep({ name: name.trim(), easing }).unwrap();
      setName('');
    } catch (problem) {
      tell(problem);
    }
  };
  return (
    <View className="gap-2">
      <Words strong>{words.yourOwn}</Words>
      {isError && <Words tone="plum">{failureSentence(error)}</Words>}
      {!isError && kept.length === 0 && <Words tone="soft">{words.noKeptEasings}</Words>}
      {kept.map((one) => (
        <View key={one.id} className="flex-row items-center justify-between gap-2">
          {one.easing ? (
            <Button label={one.name} onPress={() => onChoose(one.easing!)} className="shrink" />
          ) : (
            <Words tone="plum" className="shrink">
              {words.unreadableEasing(one.name)}
            </Words>
          )}
          <IconButton
            label={words.deleteNamed(one.name)}
            icon={Trash}
            onPress={() => void remove(one.id).unwrap().catch(tell)}
          />
        </View>
      ))}
      <View className="flex-row items-end gap-2">
        <TextField label={words.nameIt} value={name} onChange={setName} className="flex-1" />
        <Button
          label={words.keepIt}
          icon={Bookmark}
          disabled={name.trim() === '' || isLoading}
          onPress={() => void keepIt()}
        />
      </View>
    </View>
  );
}
