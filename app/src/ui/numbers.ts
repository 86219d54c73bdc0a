/** A number as people type it: a comma or a point, spaces around it. Null when it is none. */
export function readNumber(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  if (!/^-?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  return Number(plain);
}

/** A number with at most so many decimals, and no zeros that say nothing. */
export const writeNumber = (value: number, decimals: number): string =>
  String(Number(value.toFixed(decimals)) + 0);

/** A number with exactly so many decimals, for columns. A rounded nothing has no minus. */
export function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

export const signed = (value: number, decimals: number): string => {
  const text = fixed(value, decimals);
  return text.startsWith('−') || Number(text) === 0 ? text : `+${text}`;
};
