import { muteMoves } from './muteMoves';

/**
 * Shapes that follow the shot, the playhead and the pointer by themselves, once a frame and without a render:
 * what is dragged must feel held, whatever else there is to draw.
 */

export type Redraw = () => void;

export interface LiveView {
  readonly turn: number;
  /** The view that it is a sheet of: it follows with that one. */
  readonly sheetOf: LiveView | null;
}
let viewCount = 0;

export const createLiveView = (sheetOf: LiveView | null = null): LiveView => ({ turn: viewCount++, sheetOf });

export type Lag = 'never' | 'when-late' | 'always';

interface Shape {
  readonly view: LiveView;
  readonly lags: Lag;
}

export const shapes = new Map<Redraw, Shape>();

/** While something is held a shape is brought up to date on one frame of so many; by whether frames come late. */
const LAG_FRAMES: Readonly<Record<Lag, { readonly inTime: number; readonly late: number }>> = {
  never: { inTime: 1, late: 1 },
  'when-late': { inTime: 1, late: 3 },
  always: { inTime: 4, late: 12 },
};

/** Where frames come late, the other views get a turn this many times less often. */
const PATIENCE = 3;

/** Frames that lie further apart than this on average are late, milliseconds. */
const LATE_MS = 19;

/** Longer than this nobody moved anything, milliseconds. */
const PAUSE_MS = 100;
let request = 0;
let drawn = 0;
let interactingView: LiveView | null = null;
let lastFrame = 0;
let frameMs = 0;

/** How often live shapes have been brought up to date: the same number within one frame. */
export const drawnFrames = (): number => drawn;

/** Whether frames come late while something is held: what can wait should then leave them to what is held. */
export const framesAreLate = (): boolean => frameMs > LATE_MS;

/** @returns how many frames there are to one turn of every other view */
function turnsNow(now: number): number {
  const since = now - lastFrame;
  lastFrame = now;
  if (since < PAUSE_MS) frameMs += (since - frameMs) / 8;
  return framesAreLate() ? viewCount * PATIENCE : viewCount;
}

const isIn = (view: LiveView, other: LiveView): boolean => view === other || view.sheetOf === other;

function redrawAll(now: number): void {
  request = 0;
  drawn++;
  const turns = turnsNow(now);
  const pace = framesAreLate() ? 'late' : 'inTime';
  shapes.forEach(({ view, lags }, redraw) => {
    const isDue =
      interactingView === null ||
      (isIn(view, interactingView) ? drawn % LAG_FRAMES[lags][pace] === 0 : drawn % turns === view.turn);
    if (isDue) redraw();
  });
  // The others get their turn when the pointer rests, too.
  if (interactingView !== null && drawn % (viewCount * PATIENCE * LAG_FRAMES.always.late) !== 0) redrawSoon();
}

/** Something is taken hold of in a view: it follows every frame from now on, the others by turns. */
export function beginInteraction(view: LiveView): void {
  interactingView = view;
  muteMoves(true);
}

/** It is let go: everything is brought up to date. */
export function endInteraction(): void {
  interactingView = null;
  muteMoves(false);
  redrawSoon();
}

export function redrawSoon(): void {
  request ||= requestAnimationFrame(redrawAll);
}
