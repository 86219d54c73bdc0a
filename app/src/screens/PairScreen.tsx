import { useSyncExternalStore } from 'react';
import { PairDevice } from '../features/pairing/PairDevice';

/** Behind the #: it is never sent to a server. */
const codeInAddress = (): string => decodeURIComponent(location.hash.slice(1));

const watchAddress = (onChange: () => void): (() => void) => {
  addEventListener('hashchange', onChange);
  return () => removeEventListener('hashchange', onChange);
};

/** Where a device of the local network is led that is not paired yet. */
export function PairScreen() {
  const code = useSyncExternalStore(watchAddress, codeInAddress);
  // A page that is there already gets the next code without being loaded anew.
  return <PairDevice key={code} code={code} onPaired={() => location.replace('/')} />;
}
