import { useRouter } from 'expo-router';
import { Bin } from '../features/shots/Bin';
import { Messages } from './Messages';

export function BinScreen() {
  const router = useRouter();
  return (
    <>
      <Bin onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))} />
      <Messages />
    </>
  );
}
