import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { followSelection } from '../commands/followSelection';
import { useNewVersion } from '../persistence/newVersion';
import { useAppStore } from '../store/hooks';
import { messageShown } from '../store/sessionSlice';
import { newVersionWords } from '../words/newVersion';
import { View } from 'react-native';
import { Header } from '../features/document/Header';
import type { UndecidedTable } from '../features/exchange/useImport';
import { ContextMenuHost } from '../ui/ContextMenuHost';
import { LazyThresholds } from '../features/sheet/LazyThresholds';
import { lazyWithRetry } from '../ui/lazyWithRetry';
import { useKeyboardRoom } from '../ui/keyboardRoom';
import { useLayout } from '../ui/layout';
import type { BenchDialog } from './benchDialog';
import { Messages } from './Messages';
import { PhoneBench } from './PhoneBench';
import { ShotActions } from './ShotActions';
import { useShortcuts } from './useShortcuts';
import { WideBench } from './WideBench';

const ColumnDialog = lazyWithRetry(() =>
  import('../features/exchange/ColumnDialog').then((part) => part.ColumnDialog),
);
const ExportDialog = lazyWithRetry(() =>
  import('../features/exchange/ExportDialog').then((part) => part.ExportDialog),
);
const SettingsDialog = lazyWithRetry(() =>
  import('../features/document/SettingsDialog').then((part) => part.SettingsDialog),
);
const ConflictDialog = lazyWithRetry(() =>
  import('../features/document/ConflictDialog').then((part) => part.ConflictDialog),
);
const ShortcutsDialog = lazyWithRetry(() =>
  import('../features/help/ShortcutsDialog').then((part) => part.ShortcutsDialog),
);
const FindingsWatch = lazyWithRetry(() =>
  import('../features/sheet/FindingsWatch').then((part) => part.FindingsWatch),
);
const PreviewDialog = lazyWithRetry(() =>
  import('../features/preview/PreviewDialog').then((part) => part.PreviewDialog),
);
const PrintDialog = lazyWithRetry(() =>
  import('../features/print/PrintDialog').then((part) => part.PrintDialog),
);
const SoundPlayer = lazyWithRetry(() =>
  import('../features/sound/SoundPlayer').then((part) => part.SoundPlayer),
);
const HelpDialog = lazyWithRetry(() => import('../features/help/HelpDialog').then((part) => part.HelpDialog));

export function Workbench() {
  const { layout, isWide } = useLayout();
  const router = useRouter();
  const [dialog, setDialog] = useState<BenchDialog>(null);
  const [undecided, setUndecided] = useState<UndecidedTable | null>(null);
  useShortcuts(() => setDialog('help'));
  const keyboardRoom = useKeyboardRoom();
  const room = isWide ? null : keyboardRoom;
  const store = useAppStore();
  useEffect(() => followSelection(store), [store]);
  const isNewer = useNewVersion();
  useEffect(() => {
    const { newVersion, startNewVersion: label, closeOtherPages: otherwise } = newVersionWords;
    if (isNewer) store.dispatch(messageShown(newVersion, { kind: 'new-version', label, otherwise }));
  }, [isNewer, store]);
  const close = (): void => setDialog(null);
  const openExport = (): void => setDialog('export');
  const tryNow = async (): Promise<void> => {
    const { tryIt } = await import('../commands/tryIt');
    const id = await store.dispatch(tryIt());
    if (id) router.replace(`/shot/${id}`);
  };
  const back = (): void => (router.canGoBack() ? router.back() : router.replace('/'));
  return (
    <View className="flex-1 bg-ground" style={room === null ? undefined : { flex: undefined, height: room }}>
      {room === null && (
        <Header
          layout={layout}
          onBack={back}
          onMenu={() => setDialog('menu')}
          onHelp={() => setDialog('help')}
          onExport={openExport}
        />
      )}
      {isWide ? <WideBench onExport={openExport} /> : <PhoneBench onExport={openExport} />}
      {dialog === 'menu' && <ShotActions onClose={close} onOpen={setDialog} onUndecided={setUndecided} />}
      {dialog === 'preview' && <PreviewDialog onClose={close} />}
      {dialog === 'print' && <PrintDialog onClose={close} />}
      {dialog === 'export' && <ExportDialog onClose={close} />}
      {dialog === 'settings' && <SettingsDialog onClose={close} thresholds={<LazyThresholds />} />}
      {dialog === 'help' && (
        <HelpDialog
          onClose={close}
          onAllKeys={() => setDialog('shortcuts')}
          onGuide={() => router.push('/guide')}
          onTryIt={() => void tryNow()}
        />
      )}
      {dialog === 'shortcuts' && <ShortcutsDialog onClose={close} />}
      {undecided && <ColumnDialog undecided={undecided} onClose={() => setUndecided(null)} />}
      <ConflictDialog />
      <ContextMenuHost />
      <Messages />
      <FindingsWatch />
      <SoundPlayer />
    </View>
  );
}
