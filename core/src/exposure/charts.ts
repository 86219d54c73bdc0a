/** How the drawings between two keys are laid out on a spacing chart. */
export type Chart =
  | { readonly kind: 'even' }
  /** Each drawing half way from the one before to the end that is favoured. */
  | { readonly kind: 'halves'; readonly toward: Toward }
  /** The same by thirds: each leaves a third of what the one before left. */
  | { readonly kind: 'thirds'; readonly toward: Toward }
  /** The middle of the time stands at so many percent of the way: 50 is even, 75 favours the end. */
  | { readonly kind: 'favouring'; readonly percent: number };

export type Toward = 'start' | 'end' | 'both';

/** Places that come closer and closer to the end, each leaving a share of what the one before left. */
const closing = (count: number, leaves: number): number[] =>
  Array.from({ length: count }, (_, j) => 1 - leaves ** (j + 1));

const mirrored = (shares: readonly number[]): number[] => shares.map((share) => 1 - share).reverse();

/** Closing in on both ends from the middle, which has a drawing of its own when their number is odd. */
function toBoth(count: number, leaves: number): number[] {
  const half = closing(Math.floor(count / 2), leaves).map((share) => 0.5 + share / 2);
  return [...mirrored(half), ...(count % 2 === 1 ? [0.5] : []), ...half];
}

function toward(end: Toward, count: number, leaves: number): number[] {
  if (end === 'both') return toBoth(count, leaves);
  const shares = closing(count, leaves);
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
      return toward(chart.toward, count, 1 / 2);
    case 'thirds':
      return toward(chart.toward, count, 1 / 3);
    case 'favouring': {
      const percent = Math.min(99, Math.max(1, chart.percent));
      const power = Math.log(percent / 100) / Math.log(1 / 2);
      return Array.from({ length: count }, (_, j) => ((j + 1) / (count + 1)) ** power);
    }
  }
}
