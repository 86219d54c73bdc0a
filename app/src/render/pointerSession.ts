import { distance, type Vector } from '@humble/core';
import { type ContextMenu, openContextMenu } from '../ui/contextMenu';
import { beginInteraction, endInteraction, type LiveView } from './frameScheduler';
import type { PointerTrail, TrailPoint } from './usePointerTrail';

/** A press that moves less than this is a tap, pixels. */
const TAP_PX = 5;
/** Two taps within this time and distance are a double tap. */
const DOUBLE_TAP_MS = 350;
export const DOUBLE_TAP_PX = 24;
/** A finger that rests this long opens the menu. */
const LONG_PRESS_MS = 500;

export interface ViewPointer {
  readonly x: number;
  readonly y: number;
  readonly isShift: boolean;
  readonly isTouch: boolean;
  /** Where it has been since the last event, the latest last; empty where the browser does not say. */
  readonly trail: readonly TrailPoint[];
}

export interface PressHandler<Pointer> {
  /** What was pressed: two taps are a double tap only on the same thing. Without a name all things are one. */
  readonly name?: string;
  /** The pointer moved, and what is held follows. Without it a drag moves the view. */
  readonly drag?: (now: Pointer) => void;
  readonly drop?: (now: Pointer) => void;
  readonly tap?: (now: Pointer) => void;
  /** It did so twice in short order, in place of the second tap. */
  readonly tapTwice?: (now: Pointer) => void;
  /** The smallest movement counts, and a press without any is a drag. */
  readonly startsAtOnce?: boolean;
  /** A second finger came down: what the press alone did is taken back. */
  readonly cancel?: () => void;
}

export interface PointerSurface<Pointer> {
  readonly pointer: (raw: ViewPointer) => Pointer;
  readonly press: (start: Pointer) => PressHandler<Pointer>;
  /** What can be done with what lies there, for a long press or the right button; null where there is nothing. */
  readonly menu?: (at: Pointer) => ContextMenu | null;
  /** After each movement of what is held. */
  readonly dragged?: (now: Pointer) => void;
  /** Nothing was held that follows: the view is moved, so far since the press. Pixels. */
  readonly pan?: (by: Vector) => void;
  readonly released?: (wasTouch: boolean) => void;
  readonly hover?: (at: Vector | null) => void;
  readonly pinchBegins?: (focal: Vector) => void;
  /** Two fingers. @param factor since the pinch began; @param by how far their middle has moved, pixels */
  readonly pinch?: (factor: number, by: Vector, focal: Vector) => void;
}

export interface PointerSession {
  readonly begin: (at: Vector, isTouch: boolean) => void;
  readonly update: (at: Vector) => void;
  readonly end: (at: Vector) => void;
  readonly menuAsked: (at: Vector) => void;
  readonly pinchBegins: (focal: Vector) => void;
  readonly pinch: (factor: number, focal: Vector) => void;
  readonly pinchEnds: () => void;
  readonly hover: (at: Vector | null) => void;
}

/** What may lag while something is held: told when that begins and ends. */
export interface HeldSources {
  readonly begin: () => void;
  readonly end: () => void;
}

interface SessionOptions<Pointer> {
  readonly held: HeldSources;
  readonly view: LiveView | null;
  /** The surface and the trail as they are now: a session outlives renders. */
  readonly surface: () => PointerSurface<Pointer>;
  readonly trail: () => PointerTrail;
  readonly inWindow: (at: Vector) => Vector;
}

const NOWHERE: Vector = { x: 0, y: 0 };

export function createPointerSession<Pointer>({
  held,
  view,
  surface,
  trail,
  inWindow,
}: SessionOptions<Pointer>): PointerSession {
  let handler: PressHandler<Pointer> | null = null;
  let start = NOWHERE;
  let focal = NOWHERE;
  let hasMoved = false;
  let isTouch = false;
  let isPinching = false;
  let longPress: ReturnType<typeof setTimeout> | undefined;
  let lastTap: { readonly ms: number; readonly at: Vector; readonly name: string | undefined } | null = null;

  const pointerAt = ({ x, y }: Vector): Pointer =>
    surface().pointer({ x, y, isTouch, isShift: trail().isShift(), trail: trail().take() });

  const release = (): void => {
    clearTimeout(longPress);
    handler = null;
    held.end();
    endInteraction();
    surface().released?.(isTouch);
  };

  const openMenu = (at: Vector, isHeld: boolean): void => {
    const menu = surface().menu?.(pointerAt(at));
    if (!menu) return;
    handler?.cancel?.();
    release();
    openContextMenu(menu, inWindow(at), isHeld);
  };

  const tap = (pressed: PressHandler<Pointer>, at: Vector): void => {
    const ms = trail().pressedAt();
    const isSecond =
      lastTap !== null &&
      ms - lastTap.ms < DOUBLE_TAP_MS &&
      distance(lastTap.at, at) <= DOUBLE_TAP_PX &&
      lastTap.name === pressed.name;
    if (isSecond && pressed.tapTwice) pressed.tapTwice(pointerAt(at));
    else pressed.tap?.(pointerAt(at));
    // A third tap begins anew.
    lastTap = { ms: isSecond ? -Infinity : ms, at, name: pressed.name };
  };

  return {
    begin: (at, byTouch) => {
      isTouch = byTouch;
      hasMoved = false;
      start = at;
      handler = surface().press(pointerAt(at));
      held.begin();
      if (view) beginInteraction(view);
      if (byTouch) longPress = setTimeout(() => openMenu(at, true), LONG_PRESS_MS);
    },
    update: (at) => {
      if (!handler || isPinching) return;
      if (distance(at, start) >= TAP_PX) clearTimeout(longPress);
      if (!hasMoved && !handler.startsAtOnce && distance(at, start) < TAP_PX) return;
      hasMoved = true;
      if (!handler.drag) return surface().pan?.({ x: at.x - start.x, y: at.y - start.y });
      const now = pointerAt(at);
      handler.drag(now);
      surface().dragged?.(now);
    },
    end: (at) => {
      const pressed = handler;
      if (pressed && !isPinching) {
        if (hasMoved || pressed.startsAtOnce) pressed.drop?.(pointerAt(at));
        else tap(pressed, at);
      }
      release();
    },
    menuAsked: (at) => {
      if (!handler) openMenu(at, false);
    },
    pinchBegins: (at) => {
      if (!hasMoved || handler?.startsAtOnce) handler?.cancel?.();
      release();
      isPinching = true;
      focal = at;
      surface().pinchBegins?.(at);
    },
    pinch: (factor, at) => {
      surface().pinch?.(factor, { x: at.x - focal.x, y: at.y - focal.y }, focal);
    },
    pinchEnds: () => {
      isPinching = false;
    },
    // While something is held, what else lies under the pointer does not matter.
    hover: (at) => {
      if (!handler) surface().hover?.(at);
    },
  };
}
