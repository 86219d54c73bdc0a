import { useRouter } from 'expo-router';
import { Backup } from '../features/backup/Backup';
import { Messages } from './Messages';

export function BackupScreen() {
  const router = useRouter();
  return (
    <>
      <Backup onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))} />
      <Messages />
    </>
  );
}
