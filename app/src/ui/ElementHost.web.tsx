import { createElement, useLayoutEffect, useState } from 'react';

interface ElementHostProps {
  readonly element: HTMLElement;
  /** Pixels, from the corner of what is round it. */
  readonly at: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly opacity?: number;
  readonly testID?: string;
}

/** Gives an element of the page, such as a video or a canvas, a place among the rest. */
export function ElementHost({ element, at, opacity = 1, testID }: ElementHostProps) {
  const [box, setBox] = useState<HTMLDivElement | null>(null);
  useLayoutEffect(() => {
    Object.assign(element.style, { width: '100%', height: '100%', objectFit: 'cover', display: 'block' });
    box?.replaceChildren(element);
    // A video that was taken from one place of the page to another stands still.
    if (element instanceof HTMLVideoElement) void element.play().catch(() => undefined);
  }, [box, element]);
  const { x, y, width, height } = at;
  return createElement('div', {
    ref: setBox,
    'data-testid': testID,
    'aria-hidden': true,
    style: { position: 'absolute', left: x, top: y, width, height, opacity, pointerEvents: 'none' },
  });
}
