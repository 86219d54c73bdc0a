/** What the first screen does not wait for: each is a part of its own, and named here alone so that it stays one. */
export const knownShots = () => import('./knownShots');
export const offlineStart = () => import('./offlineStart');
