const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const SUM = new RegExp(String.raw`^\s*([-−]?\s*(?:${NUMBER})(?:\s*[-−+×*÷/]\s*(?:${NUMBER}))+)\s*(.*)$`);

/**
 * A text with the sum at its head worked out, products before sums: “40+2×3 mm” is “46 mm”. Any other text, and one
 * that divides by 0, stays as it is.
 */
export function withSumDone(text: string): string {
  const [, sum, rest] = SUM.exec(text) ?? [];
  if (sum === undefined) return text;
  const plain = sum
    .replace(/\s/g, '')
    .replace(/,/g, '.')
    .replace(/−/g, '-')
    .replace(/×/g, '*')
    .replace(/÷/g, '/');
  const terms = plain.match(/[-+]?[^-+]+/g) ?? [];
  const value = terms.reduce((total, term) => total + productOf(term), 0);
  return Number.isFinite(value) ? `${Number(value.toPrecision(12))}${rest ? ` ${rest}` : ''}` : text;
}

function productOf(term: string): number {
  const [first, ...others] = term.split(/(?=[*/])/);
  return others.reduce(
    (product, part) => (part[0] === '*' ? product * Number(part.slice(1)) : product / Number(part.slice(1))),
    Number(first),
  );
}
