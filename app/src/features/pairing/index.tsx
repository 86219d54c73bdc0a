import Smartphone from 'lucide-react-native/icons/smartphone';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { pairingWords as words } from '../../words/pairing';

const PairDialog = lazyWithRetry(() => import('./PairDialog').then((part) => part.PairDialog));

/** Leads to a code for a phone. */
export function PairButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button label={words.pairAPhone} icon={Smartphone} onPress={() => setOpen(true)} />
      {isOpen && <PairDialog onClose={() => setOpen(false)} />}
    </>
  );
}
