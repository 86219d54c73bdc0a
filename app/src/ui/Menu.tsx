import type { LucideIcon } from 'lucide-react-native';
import { Pressable } from 'react-native';
import { colour } from './colour';
import { Dialog } from './Dialog';
import { Words } from './Words';

export interface MenuItem {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly onPress: () => void;
  readonly disabled?: boolean;
  /** Set for an item of a choice: whether it is the one. */
  readonly isChosen?: boolean;
  readonly staysOpen?: boolean;
}

interface MenuProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly items: readonly MenuItem[];
}

export function Menu({ title, onClose, items }: MenuProps) {
  return (
    <Dialog title={title} isOpen onClose={onClose}>
      <MenuLines items={items} onClose={onClose} />
    </Dialog>
  );
}

/** The lines of a menu; the arrow keys go from one to the next. */
export const MenuLines = ({ items, onClose }: Pick<MenuProps, 'items' | 'onClose'>) =>
  items.map(({ label, icon: Icon, onPress, disabled = false, isChosen, staysOpen = false }) => (
    <Pressable
      key={label}
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      aria-pressed={isChosen}
      disabled={disabled}
      onPress={() => {
        if (!staysOpen) onClose();
        onPress();
      }}
      className={`-mx-2 min-h-[48px] flex-row items-center gap-4 rounded-large px-2 py-2 ${disabled ? 'opacity-40' : ''}`}
      {...{ onKeyDown: goToLine }}
    >
      <Icon size={20} strokeWidth={1.75} color={isChosen ? colour.brass : colour.soft} />
      <Words size="body" strong={isChosen} className="shrink">
        {label}
      </Words>
    </Pressable>
  ));

/** Up and down go to the line before and after. Web only. */
function goToLine(event: KeyboardEvent): void {
  const step = { ArrowDown: 'nextElementSibling', ArrowUp: 'previousElementSibling' } as const;
  const way = step[event.key as keyof typeof step];
  if (!way) return;
  event.preventDefault();
  let line = (event.currentTarget as HTMLElement)[way] as HTMLElement | null;
  while (line?.getAttribute('aria-disabled') === 'true') line = line[way] as HTMLElement | null;
  line?.focus();
}
