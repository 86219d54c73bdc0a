import { useRouter } from 'expo-router';
import { tryIt } from '../commands/tryIt';
import { Guide } from '../features/guide/Guide';
import { useAppDispatch } from '../store/hooks';
import { Messages } from './Messages';

export function GuideScreen() {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const start = (): void => {
    void dispatch(tryIt()).then((id) => id && router.replace(`/shot/${id}`));
  };
  return (
    <>
      <Guide onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))} onTryIt={start} />
      <Messages />
    </>
  );
}
