/**
 * The error function, to about 1e-16: its series near 0, and the continued fraction of what is left of 1
 * further out (Abramowitz and Stegun, 7.1.6 and 7.1.14).
 */
function erf(x: number): number {
  const z = Math.abs(x);
  if (z < 2.5) {
    let term = z;
    let sum = z;
    for (let n = 1; Math.abs(term) > 1e-17 * Math.abs(sum); n += 1) {
      term *= (2 * z * z) / (2 * n + 1);
      sum += term;
    }
    return (Math.sign(x) * 2 * sum * Math.exp(-z * z)) / Math.sqrt(Math.PI);
  }
  let fraction = 0;
  for (let n = 60; n >= 1; n -= 1) fraction = n / 2 / (z + fraction);
  return Math.sign(x) * (1 - Math.exp(-z * z) / ((z + fraction) * Math.sqrt(Math.PI)));
}

/** The chance that a standard normal figure is at most x. */
export const normalBelow = (x: number): number => (1 + erf(x / Math.SQRT2)) / 2;
