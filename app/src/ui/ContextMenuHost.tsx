import { useEffect } from 'react';
import { Modal, Pressable, View } from 'react-native';
import { closeContextMenu, useOpenContextMenu } from './contextMenu';
import { useLayout } from './layout';
import { Menu, MenuLines } from './Menu';
import { useFocusReturn } from './returnedFocus';
import { Words } from './Words';

const WIDTH = 248;
/** Height of its title and of each line, and what it keeps free of the window's edges, pixels. */
const TITLE_PX = 44;
const LINE_PX = 48;
const SHADOW = '0 4px 10px rgba(0, 0, 0, 0.35)';
const EDGE_PX = 8;

/** Shows the menu that was asked for: beside the pointer on a wide screen, from the bottom on a phone. */
export function ContextMenuHost() {
  const menu = useOpenContextMenu();
  const { isWide } = useLayout();
  useEffect(() => closeContextMenu, []);
  if (!menu) return null;
  return isWide ? <MenuAtPointer {...menu} /> : <Menu {...menu} onClose={closeContextMenu} />;
}

function MenuAtPointer({ title, items, at }: NonNullable<ReturnType<typeof useOpenContextMenu>>) {
  const { width, height } = useLayout();
  useFocusReturn(true);
  const tall = TITLE_PX + items.length * LINE_PX + EDGE_PX;
  const place = {
    left: Math.max(EDGE_PX, Math.min(at.x, width - WIDTH - EDGE_PX)),
    top: Math.max(EDGE_PX, Math.min(at.y, height - tall - EDGE_PX)),
    width: WIDTH,
    boxShadow: SHADOW,
  };
  return (
    <Modal visible transparent animationType="none" onRequestClose={closeContextMenu}>
      <View role="dialog" aria-modal aria-label={title} className="flex-1">
        <Pressable aria-hidden tabIndex={-1} onPress={closeContextMenu} className="absolute inset-0" />
        <View style={place} className="absolute rounded-large border border-line bg-card px-4 pb-1">
          <Words tone="soft" size="tiny" numberOfLines={1} className="pb-1 pt-3">
            {title}
          </Words>
          <MenuLines items={items} onClose={closeContextMenu} />
        </View>
      </View>
    </Modal>
  );
}
