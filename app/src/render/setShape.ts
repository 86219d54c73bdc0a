import type { Component } from 'react';

export type DrawnShape = Component & { setNativeProps?: (props: object) => void };

/** Changes attributes of a drawn shape at once, without a render. */
export function setShape(shape: DrawnShape, attributes: Readonly<Record<string, string>>): void {
  shape.setNativeProps?.(attributes);
}
