import { benchWords as words } from '../words/bench';
import Moon from 'lucide-react-native/icons/moon';
import Sun from 'lucide-react-native/icons/sun';
import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { useImportShot } from '../features/exchange/useImport';
import { ShotList } from '../features/shots/ShotList';
import { watchLeftDrafts } from '../persistence/leftDrafts';
import { useAppDispatch, useSettings } from '../store/hooks';
import { settingsChanged } from '../store/settingsSlice';
import { store } from '../persistence/appStore';
import { watchNewVersionSoon } from '../persistence/watchNewVersionSoon';
import { IconButton } from '../ui/Button';
import { Messages } from './Messages';

export function ShotsScreen() {
  const router = useRouter();
  const importShot = useImportShot();
  const open = (id: string): void => router.push(`/shot/${id}`);
  useEffect(() => watchLeftDrafts(store), []);
  useEffect(watchNewVersionSoon, []);
  return (
    <>
      <ShotList
        onOpen={open}
        onImport={() => {
          void importShot().then((id) => id && open(id));
        }}
        controls={<ThemeButton />}
      />
      <Messages />
    </>
  );
}

function ThemeButton() {
  const { theme } = useSettings();
  const dispatch = useAppDispatch();
  const isPaper = theme === 'paper';
  return (
    <IconButton
      label={isPaper ? words.lampOut : words.paper}
      icon={isPaper ? Moon : Sun}
      onPress={() => dispatch(settingsChanged({ theme: isPaper ? 'lampout' : 'paper' }))}
    />
  );
}
