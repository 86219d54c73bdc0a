export type Chart =
  | { readonly kind: 'even' }
  /** Each of the last drawings half way from the one before to the end that is favoured. */
  | ({ readonly kind: 'halves' } & Closing)
  /** The same by thirds: each leaves a third of what the one before left. */
  | ({ readonly kind: 'thirds' } & Closing)
  /** The middle of the time stands at so many percent of the way: 50 is even, 75 favours the end. */
  | { readonly kind: 'favouring'; readonly percent: number };

export type Toward = 'start' | 'end' | 'both';

interface Closing {
  readonly toward: Toward;
  /** How many drawings close in on an end, ≥ 1; the others stand evenly. All of them without it. */
  readonly last?: number;
}

const closing = (count: number, leaves: number): number[] =>
  Array.from({ length: count }, (_, j) => 1 - leaves ** (j + 1));

const mirrored = (shares: readonly number[]): number[] => shares.map((share) => 1 - share).reverse();

/**
 * Evenly, but for the last drawings: these lie within the last even step and close in on its end.
 * @param last how many do, at most `count`
 */
function closingLast(count: number, leaves: number, last: number): number[] {
  const evenly = count - last;
  const step = 1 / (evenly + 1);
  return [
    ...Array.from({ length: evenly }, (_, j) => (j + 1) * step),
    ...closing(last, leaves).map((share) => 1 - step + share * step),
  ];
}

function toBoth(count: number, leaves: number, last: number): number[] {
  const evenly = count - 2 * last;
  if (evenly < 1) {
    const half = closing(Math.floor(count / 2), leaves).map((share) => 0.5 + share / 2);
    return [...mirrored(half), ...(count % 2 === 1 ? [0.5] : []), ...half];
  }
  const step = 1 / (evenly + 1);
  const end = closing(last, leaves).map((share) => 1 - step + share * step);
  return [...mirrored(end), ...Array.from({ length: evenly }, (_, j) => (j + 1) * step), ...end];
}

function toward({ toward: end, last = Infinity }: Closing, count: number, leaves: number): number[] {
  const closes = Math.max(1, Math.min(count, last));
  if (end === 'both') return toBoth(count, leaves, closes);
  const shares = closingLast(count, leaves, Math.min(count, closes));
  return end === 'end' ? shares : mirrored(shares);
}

/**
 * Where the drawings between two keys stand on a chart, as shares of the way, in order.
 * @param count how many drawings between, ≥ 0
 */
export function chartShares(chart: Chart, count: number): number[] {
  switch (chart.kind) {
    case 'even':
      return Array.from({ length: count }, (_, j) => (j + 1) / (count + 1));
    case 'halves':
      return toward(chart, count, 1 / 2);
    case 'thirds':
      return toward(chart, count, 1 / 3);
    case 'favouring': {
      const percent = Math.min(99, Math.max(1, chart.percent));
      const power = Math.log(percent / 100) / Math.log(1 / 2);
      return Array.from({ length: count }, (_, j) => ((j + 1) / (count + 1)) ** power);
    }
  }
}
