// Outside the web the application is installed as it is: nothing has to be fetched for it.
export const watchNewVersion = (): void => undefined;
export const startNewVersion = (): Promise<boolean> => Promise.resolve(false);
export const cachedPictures = (): Promise<number> => Promise.resolve(0);
export const forgetCachedPictures = (): Promise<void> => Promise.resolve();
