import { listMenuWords as words } from '../../words/listMenu';
import Archive from 'lucide-react-native/icons/archive';
import ArrowDownAZ from 'lucide-react-native/icons/arrow-down-a-z';
import BookOpen from 'lucide-react-native/icons/book-open';
import Clock from 'lucide-react-native/icons/clock';
import Hand from 'lucide-react-native/icons/hand';
import Trash from 'lucide-react-native/icons/trash';
import { useRouter } from 'expo-router';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { type ListOrder, settingsChanged } from '../../store/settingsSlice';
import { Menu, type MenuItem } from '../../ui/Menu';

const ORDERS: readonly (Pick<MenuItem, 'label' | 'icon'> & { readonly order: ListOrder })[] = [
  { order: 'change', label: words.lastChangedFirst, icon: Clock },
  { order: 'name', label: words.byName, icon: ArrowDownAZ },
  { order: 'hand', label: words.byHand, icon: Hand },
];

/** In which order the shots of a film stand, those that were removed, and backups. */
export function OrderMenu({ onClose }: { readonly onClose: () => void }) {
  const { listOrder } = useSettings();
  const dispatch = useAppDispatch();
  const router = useRouter();
  return (
    <Menu
      title={words.orderOfTheShots}
      onClose={onClose}
      items={[
        ...ORDERS.map(({ order, ...item }) => ({
          ...item,
          isChosen: order === listOrder,
          onPress: () => dispatch(settingsChanged({ listOrder: order })),
        })),
        { label: words.removedShots, icon: Trash, onPress: () => router.push('/bin') },
        { label: words.guide, icon: BookOpen, onPress: () => router.push('/guide') },
        { label: words.backup, icon: Archive, onPress: () => router.push('/backup') },
      ]}
    />
  );
}
