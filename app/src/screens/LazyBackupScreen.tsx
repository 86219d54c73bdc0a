import { lazyWithRetry } from '../ui/lazyWithRetry';

/** Backups and what this device keeps, which the list of shots does not have to wait for. */
export const LazyBackupScreen = lazyWithRetry(() =>
  import('./BackupScreen').then((module) => module.BackupScreen),
);
