export function beginFullScreen(): void {
  const root = document.documentElement as Partial<Pick<HTMLElement, 'requestFullscreen'>>;
  root.requestFullscreen?.().catch(() => undefined);
}

export function endFullScreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined);
}

/** Listens to people leaving it by themselves. @returns stops listening */
export function whenFullScreenEnds(listener: () => void): () => void {
  const look = (): void => {
    if (!document.fullscreenElement) listener();
  };
  document.addEventListener('fullscreenchange', look);
  return () => document.removeEventListener('fullscreenchange', look);
}
