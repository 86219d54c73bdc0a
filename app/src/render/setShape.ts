import type { Component } from 'react';

export type DrawnShape = Component & { setNativeProps?: (props: object) => void };

export function setShape(shape: DrawnShape, attributes: Readonly<Record<string, string>>): void {
  shape.setNativeProps?.(attributes);
}
