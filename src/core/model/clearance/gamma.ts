import { ln } from "../../shared/exponential";

/** Coefficients for g = 7. Source: Lanczos 1964 approximation as tabulated by P. Godfrey; from memory. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const;

/**
 * Natural logarithm of Γ(x), to about 15 digits. Throws RangeError unless x > 0.
 * @example logGamma(5) // ln 24
 */
export function logGamma(x: number): number {
  if (!(x > 0)) throw new RangeError(`Γ is asked for at ${x}`);
  // Γ(x + 1) = x Γ(x): below ½ the series is better asked one further up.
  if (x < 0.5) return logGamma(x + 1) - ln(x);
  const [first, ...rest] = LANCZOS;
  const shifted = x - 1;
  const t = shifted + 7.5;
  const sum = rest.reduce((series, coefficient, i) => series + coefficient / (shifted + i + 1), first as number);
  return 0.5 * ln(2 * Math.PI) + (shifted + 0.5) * ln(t) - t + ln(sum);
}

/**
 * Natural logarithm of the negative binomial probability of `count` with shape `shape` and mean `mean`; Γ stands in where
 * `count` is not whole. −∞ for a positive count at mean 0. Throws RangeError unless count ≥ 0, shape > 0, mean ≥ 0.
 * @example Math.exp(logNegativeBinomial(0, 2, 3)) // (2/5)² = 0.16
 */
export function logNegativeBinomial(count: number, shape: number, mean: number): number {
  if (!(count >= 0 && shape > 0 && mean >= 0)) throw new RangeError(`no probability of ${count} at mean ${mean}`);
  const none = shape * ln(shape / (shape + mean));
  if (count === 0) return none;
  const ways = logGamma(count + shape) - logGamma(shape) - logGamma(count + 1);
  return ways + none + count * ln(mean / (shape + mean));
}
