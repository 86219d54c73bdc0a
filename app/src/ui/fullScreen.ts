/** The window as large as the screen. Outside the web it is that already; the web target has `fullScreen.web.ts`. */
export const beginFullScreen = (): void => undefined;

export const endFullScreen = (): void => undefined;

/** @returns stops listening */
export const whenFullScreenEnds = (_listener: () => void): (() => void) => endFullScreen;
