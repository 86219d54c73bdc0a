import { Words } from '../../ui/Words';

/** In place of what would change an arc. */
export const Locked = () => (
  <Words tone="soft" className="px-1">
    This arc is locked, so nothing here changes it. Unlock it under “All arcs”.
  </Words>
);
