/** Arithmetic-geometric mean of two positive numbers (Gauss). */
export function agm(a: number, b: number): number {
  let [x, y] = [a, b];
  while (Math.abs(x - y) > 1e-15 * x) [x, y] = [(x + y) / 2, Math.sqrt(x * y)];
  return x;
}

export interface Jacobi {
  readonly sn: number;
  readonly cn: number;
  readonly dn: number;
}

/**
 * Jacobi's elliptic functions by descending Landen transformation (Abramowitz and Stegun 16.4).
 * @param u real
 * @param k modulus, 0 ≤ k < 1
 */
export function jacobi(u: number, k: number): Jacobi {
  const a = [1];
  const c = [k];
  let b = Math.sqrt(1 - k * k);
  while (Math.abs(c[c.length - 1]!) > 1e-16 && a.length < 40) {
    const last = a[a.length - 1]!;
    a.push((last + b) / 2);
    c.push((last - b) / 2);
    b = Math.sqrt(last * b);
  }
  const n = a.length - 1;
  let phi = 2 ** n * a[n]! * u;
  for (let i = n; i > 0; i--) phi = (phi + Math.asin((c[i]! / a[i]!) * Math.sin(phi))) / 2;
  const sn = Math.sin(phi);
  return { sn, cn: Math.cos(phi), dn: Math.sqrt(1 - k * k * sn * sn) };
}
