import ArrowDownUp from 'lucide-react-native/icons/arrow-down-up';
import { useState } from 'react';
import { IconButton } from '../../ui/Button';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { shotsWords as words } from '../../words/shots';

const OrderMenu = lazyWithRetry(() => import('./OrderMenu').then((part) => part.OrderMenu));

/** Leads to the menu of the list. */
export function OrderButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <IconButton label={words.orderAndRemoved} icon={ArrowDownUp} onPress={() => setOpen(true)} />
      {isOpen && <OrderMenu onClose={() => setOpen(false)} />}
    </>
  );
}
