import { createLiveView } from '../../render/frameScheduler';

export const FIELD_VIEW = createLiveView();
/** Ghosts lie on a sheet of their own, so that a drag does not paint them again. */
export const GHOSTS_VIEW = createLiveView(FIELD_VIEW);
