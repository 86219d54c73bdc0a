import { arcWords as words } from '../../words/arc';
import { Words } from '../../ui/Words';

/** In place of what would change an arc. */
export const Locked = () => (
  <Words tone="soft" className="px-1">
    {words.thisArcIsLockedSoNothing}
  </Words>
);
