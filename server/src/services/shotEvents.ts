import { EventEmitter } from 'node:events';
import type { Response } from 'express';

/** Tells pages that look at a shot when it is saved by another. */
export interface ShotEvents {
  readonly saved: (id: string, revision: number) => void;
  /** Sends what happens to a shot to a page until it goes away (server-sent events). */
  readonly follow: (id: string, response: Response) => void;
  /** Ends what is still open: the server stops. */
  readonly end: () => void;
}

/** A line now and then, so that whoever stands between keeps the connection open. */
const BEAT_MS = 20_000;

export function createShotEvents(): ShotEvents {
  const emitter = new EventEmitter();
  emitter.setMaxListeners(0);
  const open = new Set<Response>();
  return {
    saved: (id, revision) => void emitter.emit(id, revision),
    follow: (id, response) => {
      response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' });
      response.flushHeaders();
      const told = (revision: number): void => void response.write(`data: {"revision":${revision}}\n\n`);
      const beat = setInterval(() => response.write(': still here\n\n'), BEAT_MS);
      emitter.on(id, told);
      open.add(response);
      response.on('close', () => {
        clearInterval(beat);
        emitter.off(id, told);
        open.delete(response);
      });
    },
    end: () => {
      for (const response of open) response.end();
    },
  };
}
