/** Dice that fall alike for the same seed. */
export interface Dice {
  /** Uniform in [0, 1). */
  readonly uniform: () => number;
}

/** Seeded dice. Source: the xorshift128 generator, Marsaglia 2003, from memory. */
export function diceFrom(seed: number): Dice {
  let [x, y, z, w] = [123456789 ^ seed, 362436069, 521288629, 88675123];
  const uniform = () => {
    const t = x ^ (x << 11);
    [x, y, z] = [y, z, w];
    w = w ^ (w >>> 19) ^ t ^ (t >>> 8);
    return (w >>> 0) / 4294967296;
  };
  for (let i = 0; i < 50; i++) uniform();
  return { uniform };
}

/** Knuth 1969: multiply uniforms until they fall below e^−mean. */
export function poisson({ uniform }: Dice, mean: number): number {
  if (mean > 30) return poisson({ uniform }, mean / 2) + poisson({ uniform }, mean / 2);
  const limit = Math.exp(-mean);
  let n = 0;
  for (let product = uniform(); product > limit; product *= uniform()) n++;
  return n;
}
