import { createExternalStore, useExternalStore } from '../ui/externalStore';

/** Whether a new version has been fetched and waits for the pages of the old one to close. */
export const newVersion = createExternalStore(false);
export const useNewVersion = (): boolean => useExternalStore(newVersion);
