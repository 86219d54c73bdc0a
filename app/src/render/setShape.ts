import type { Component } from 'react';

/** A drawn shape, as a ref to one of the drawing package's elements gives it. */
export type DrawnShape = Component & { setNativeProps?: (props: object) => void };

/** Changes attributes of a drawn shape at once, without a render. */
export function setShape(shape: DrawnShape, attributes: Readonly<Record<string, string>>): void {
  shape.setNativeProps?.(attributes);
}
