import { arcWords as words } from '../../words/arc';
import { Words } from '../../ui/Words';

export const Locked = () => (
  <Words tone="soft" className="px-1">
    {words.lockedArcHelp}
  </Words>
);
