import { markMenu, pictureMenu } from '../../../commands/menus/timingMenus';
import type { AppStore } from '../../../store/store';
import type { ContextMenu } from '../../../ui/contextMenu';
import type { ViewTarget } from './viewTargets';

/** What can be done with what lies at a place of a view of the timing. @param frame that it stands for */
export function viewMenu(store: AppStore, target: ViewTarget | null, frame: number): ContextMenu | null {
  switch (target?.kind) {
    case 'mark':
      return markMenu(store, target.post.markIds);
    case 'tick':
      return pictureMenu(store, target.frame);
    case 'handle':
    case 'edge':
      return null;
    default:
      return pictureMenu(store, frame);
  }
}
