export const API = '/api';

/** A removed shot stays in the bin for so many days. */
export const BIN_DAYS = 30;

/** So many earlier revisions of a shot are listed at once. */
export const REVISIONS_LISTED = 30;
/** Earlier revisions of a shot take at most so many bytes: then the oldest go, whatever their age. */
export const MAX_HISTORY_BYTES = 20 * 1024 * 1024;

/** Method and address of each request, below `API`, with `:name` for each parameter. */
export const ROUTES = {
  health: { method: 'GET', path: '/health' },
  databaseHealth: { method: 'GET', path: '/health/database' },
  listShots: { method: 'GET', path: '/shots' },
  listRemoved: { method: 'GET', path: '/removed-shots' },
  emptyBin: { method: 'DELETE', path: '/removed-shots' },
  removeForGood: { method: 'DELETE', path: '/removed-shots/:id' },
  createShot: { method: 'POST', path: '/shots' },
  importShot: { method: 'POST', path: '/imports' },
  readShot: { method: 'GET', path: '/shots/:id' },
  readRevision: { method: 'GET', path: '/shots/:id/revision' },
  listRevisions: { method: 'GET', path: '/shots/:id/revisions/before/:before' },
  readPastShot: { method: 'GET', path: '/shots/:id/revisions/:revision' },
  followShot: { method: 'GET', path: '/shots/:id/events' },
  readDocument: { method: 'GET', path: '/shots/:id/document' },
  saveShot: { method: 'PUT', path: '/shots/:id' },
  duplicateShot: { method: 'POST', path: '/shots/:id/duplicate' },
  removeShot: { method: 'DELETE', path: '/shots/:id' },
  restoreShot: { method: 'POST', path: '/shots/:id/restore' },
  orderShots: { method: 'PUT', path: '/shot-order' },
  loadDemo: { method: 'POST', path: '/demo' },
  writeBackup: { method: 'GET', path: '/backup' },
  listCopies: { method: 'GET', path: '/copies' },
  lookAtBackup: { method: 'POST', path: '/backups' },
  lookAtCopy: { method: 'POST', path: '/copies/:day' },
  forgetBackup: { method: 'DELETE', path: '/backups/:id' },
  restoreBackup: { method: 'POST', path: '/backups/:id/restore' },
  listEasings: { method: 'GET', path: '/easings' },
  keepEasing: { method: 'POST', path: '/easings' },
  removeEasing: { method: 'DELETE', path: '/easings/:id' },
  keepPicture: { method: 'POST', path: '/pictures' },
  readPicture: { method: 'GET', path: '/pictures/:sha256' },
  readSmallPicture: { method: 'GET', path: '/pictures/:sha256/small' },
  readWatchedFolder: { method: 'GET', path: '/watched-folder/:after' },
  readSession: { method: 'GET', path: '/session' },
  readPairing: { method: 'GET', path: '/pairing' },
  pairDevice: { method: 'POST', path: '/pairings' },
  endDevice: { method: 'DELETE', path: '/devices/:id' },
  keepSound: { method: 'POST', path: '/sounds' },
  readSound: { method: 'GET', path: '/sounds/:sha256' },
} as const;

export type EndpointName = keyof typeof ROUTES;

/** The address of an endpoint below `API`, with its parameters filled in. */
export const addressOf = (name: EndpointName, params: Readonly<Record<string, string>> = {}): string =>
  ROUTES[name].path.replace(/:(\w+)/g, (_, key: string) => encodeURIComponent(params[key] ?? ''));
