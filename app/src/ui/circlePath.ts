/** A circle as path data. */
export const circlePath = ({ x, y }: { readonly x: number; readonly y: number }, r: number): string =>
  `M${(x - r).toFixed(2)} ${y.toFixed(2)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
