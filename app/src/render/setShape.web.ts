import type { DrawnShape } from './setShape';

export function setShape(shape: DrawnShape, attributes: Readonly<Record<string, string>>): void {
  const { elementRef } = shape as unknown as { elementRef: { current: SVGElement | null } };
  for (const [name, value] of Object.entries(attributes)) elementRef.current?.setAttribute(name, value);
}
