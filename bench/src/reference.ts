/** What the budgets are ratios to: a fixed computation, and how long it takes on the reference machine, milliseconds. */
export const REFERENCE_MS = 14;

export function referenceLoop(): number {
  let sum = 0;
  for (let i = 0; i < 400_000; i++) {
    const place = { x: Math.sin(i), y: Math.sqrt(i) };
    sum += place.x * place.y;
  }
  return sum;
}
